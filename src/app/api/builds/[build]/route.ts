import { respond, parseId } from '@/server/http';
import { getBuildView, cancelBuild } from '@/server/useCases/builds';

interface Context {
  readonly params: Promise<{ build: string }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return respond(async () => getBuildView(parseId((await params).build, 'This build')));
}

export function DELETE(_: Request, { params }: Context): Promise<Response> {
  return respond(async () => cancelBuild(parseId((await params).build, 'This build')));
}
