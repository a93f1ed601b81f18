import { fileResponse } from '@/server/fileResponse';
import { route } from '@/server/route';
import { screensSchema, writeScreens } from '@/server/useCases/writeScreens';

/** Whole screens as a file, or as a ZIP of several. */
export const GET = route({ id: 'mockup', query: screensSchema }, async ({ id, query, request }) => {
  const { path, bytes } = await writeScreens(id, query, request.signal);
  const response = fileResponse(path, bytes);
  response.headers.set('content-disposition', `attachment; filename="${path.replace(/[^\w.-]+/g, '-')}"`);
  return response;
});
