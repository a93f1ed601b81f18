import { respond, NOT_FOUND, parseId } from '@/server/http';
import { fileResponse } from '@/server/fileResponse';
import { pool } from '@/server/db/pool';
import { newestPicture } from '@/server/db/tables/revisions';
import { smallPicture, wholePicture } from '@/server/useCases/mockupPicture';

/** The first screen of a mockup as it was read: as SVG, or with `small` as a WebP for the shelf. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return respond(async () => {
    const newest = await newestPicture(pool(), parseId((await params).mockup, 'This mockup'));
    if (!newest) throw NOT_FOUND('This mockup');
    const asked = new URL(request.url).searchParams;
    const response = asked.has('small')
      ? fileResponse('picture.webp', await smallPicture(newest.picture_digest))
      : fileResponse('picture.svg', await wholePicture(newest.picture_digest));
    // An address that names the reading never changes.
    if (asked.get('reading') === newest.picture_digest)
      response.headers.set('cache-control', 'private, max-age=86400, immutable');
    return response;
  });
}
