import { answer, NOT_FOUND, parseId } from '@/server/http';
import { fileResponse } from '@/server/fileResponse';
import { pool } from '@/server/db/pool';
import { getBlob } from '@/server/db/tables/blobs';
import { newestPicture } from '@/server/db/tables/revisions';

export function GET(_: Request, { params }: { params: Promise<{ mockup: string }> }): Promise<Response> {
  return answer(async () => {
    const digest = await newestPicture(pool(), parseId((await params).mockup, 'This mockup'));
    const bytes = digest === null ? null : await getBlob(pool(), digest);
    if (!bytes) throw NOT_FOUND('This mockup');
    return fileResponse('picture.svg', bytes);
  });
}
