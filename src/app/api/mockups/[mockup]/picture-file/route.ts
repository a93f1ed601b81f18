import { fileResponse } from '@/server/fileResponse';
import { route } from '@/server/route';
import { pictureFile, pictureFileSchema } from '@/server/useCases/pictures';

/** A file of a picture as a build would write it now. */
export const GET = route({ id: 'mockup', query: pictureFileSchema }, async ({ id, query, request }) => {
  const response = fileResponse(query.path, await pictureFile(id, query.path, request.signal));
  // The mark stands for a state of the mockup that never changes.
  if (query.mark !== undefined) response.headers.set('cache-control', 'private, max-age=3600, immutable');
  return response;
});
