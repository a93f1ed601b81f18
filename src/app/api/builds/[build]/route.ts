import { answer, parseId } from '@/server/http';
import { seeBuild, stopBuild } from '@/server/useCases/builds';

interface Context {
  readonly params: Promise<{ build: string }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return answer(async () => seeBuild(parseId((await params).build, 'This build')));
}

export function DELETE(_: Request, { params }: Context): Promise<Response> {
  return answer(async () => stopBuild(parseId((await params).build, 'This build')));
}
