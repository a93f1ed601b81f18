import { parseId, respond } from '@/server/http';
import { getBuildRecord } from '@/server/useCases/buildRecords';

interface Context {
  readonly params: Promise<{ build: string }>;
}

/** The layers, decisions and source map of a build, as they were when it ran. */
export function GET(_: Request, { params }: Context): Promise<Response> {
  return respond(async () => getBuildRecord(parseId((await params).build, 'This build')));
}
