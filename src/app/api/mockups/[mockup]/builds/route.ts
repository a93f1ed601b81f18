import { respond, body, parseId } from '@/server/http';
import { buildSchema, listBuilds, orderBuild } from '@/server/useCases/builds';

interface Context {
  readonly params: Promise<{ mockup: string }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return respond(async () => ({ builds: await listBuilds(parseId((await params).mockup, 'This mockup')) }));
}

export function POST(request: Request, { params }: Context): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    return orderBuild(id, await body(request, buildSchema));
  });
}
