import { answer, parseId } from '@/server/http';
import { seeLinks } from '@/server/useCases/builds';

interface Context {
  readonly params: Promise<{ build: string }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return answer(async () => seeLinks(parseId((await params).build, 'This build')));
}
