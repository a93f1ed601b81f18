import { pool } from '@/server/db/pool';
import { newestRevision } from '@/server/db/tables/revisions';
import { fileResponse } from '@/server/fileResponse';
import { NOT_FOUND } from '@/server/http';
import { route } from '@/server/route';
import { pictureSchema, smallPicture, wholePicture } from '@/server/useCases/mockupPicture';

/** The first screen of a mockup as it was read: as SVG, or with `small` as a WebP for the shelf. */
export const GET = route({ id: 'mockup', query: pictureSchema }, async ({ id, query }) => {
  const newest = await newestRevision(pool(), id);
  if (!newest) throw NOT_FOUND('This mockup');
  const response =
    query.small === undefined
      ? fileResponse('picture.svg', await wholePicture(newest.picture_digest))
      : fileResponse('picture.webp', await smallPicture(newest.picture_digest, newest.small_digest));
  // An address that names the reading never changes.
  if (query.reading === newest.picture_digest)
    response.headers.set('cache-control', 'private, max-age=86400, immutable');
  return response;
});
