import { answer, NOT_FOUND, parseId } from '@/server/http';
import { fileResponse } from '@/server/fileResponse';
import { pool } from '@/server/db/pool';
import { getBlob } from '@/server/db/tables/blobs';
import { newestPicture } from '@/server/db/tables/revisions';

export function GET(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return answer(async () => {
    const newest = await newestPicture(pool(), parseId((await params).mockup, 'This mockup'));
    const bytes = newest && (await getBlob(pool(), newest.picture_digest));
    if (!bytes) throw NOT_FOUND('This mockup');
    const response = fileResponse('picture.svg', bytes);
    // An address that names the reading never changes.
    if (new URL(request.url).searchParams.get('reading') === newest.picture_digest)
      response.headers.set('cache-control', 'private, max-age=86400, immutable');
    return response;
  });
}
