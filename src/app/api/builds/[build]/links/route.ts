import { respond, parseId } from '@/server/http';
import { getLinks } from '@/server/useCases/builds';

interface Context {
  readonly params: Promise<{ build: string }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return respond(async () => getLinks(parseId((await params).build, 'This build')));
}
