import { fileResponse } from '@/server/fileResponse';
import { parseId, respond } from '@/server/http';
import { buildPicture } from '@/server/useCases/buildRecords';

interface Context {
  readonly params: Promise<{ build: string }>;
}

/** The sheet of the revision that was built, as SVG. */
export function GET(_: Request, { params }: Context): Promise<Response> {
  return respond(async () =>
    fileResponse('picture.svg', await buildPicture(parseId((await params).build, 'This build'))),
  );
}
