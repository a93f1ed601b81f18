import { fontEnding } from '@/core/fontFiles';
import { fileResponse } from '@/server/fileResponse';
import { route } from '@/server/route';
import { fontSchema, mockupFont } from '@/server/useCases/mockupFont';

/** A font of the mockup's texts, for the page that its worksheet shows; the address names the reading, so it lasts. */
export const GET = route({ id: 'mockup', query: fontSchema }, async ({ id, query }) => {
  const bytes = await mockupFont(id, query);
  const response = fileResponse(`font.${fontEnding(bytes)}`, bytes);
  response.headers.set('cache-control', 'private, max-age=86400');
  return response;
});
