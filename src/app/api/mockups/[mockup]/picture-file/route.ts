import { drawnResponse, fileResponse } from '@/server/fileResponse';
import { PLAIN_BYTES_HEADER } from '@/core/pictures/plainBytesHeader';
import { route } from '@/server/route';
import { pictureFile, pictureFileSchema } from '@/server/useCases/pictures';

/** A file of a picture as a build would write it now. */
export const GET = route({ id: 'mockup', query: pictureFileSchema }, async ({ id, query, request }) => {
  const { bytes, plain } = await pictureFile(id, query.path, request.signal);
  const response = query.drawn ? drawnResponse(query.path, bytes) : fileResponse(query.path, bytes);
  if (plain !== null) response.headers.set(PLAIN_BYTES_HEADER, String(plain));
  // The mark stands for a state of the mockup that never changes.
  if (query.mark !== undefined) response.headers.set('cache-control', 'private, max-age=3600, immutable');
  return response;
});
