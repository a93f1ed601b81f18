import { drawnResponse, fileResponse, shownSchema } from '@/server/fileResponse';
import { route } from '@/server/route';
import { getBuildFile } from '@/server/useCases/builds';

export const GET = route({ id: 'build', query: shownSchema }, async ({ id, path, query }) => {
  const bytes = await getBuildFile(id, path);
  return query.drawn ? drawnResponse(path, bytes) : fileResponse(path, bytes);
});
