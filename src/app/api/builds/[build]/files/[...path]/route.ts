import { fileResponse } from '@/server/fileResponse';
import { route } from '@/server/route';
import { getBuildFile } from '@/server/useCases/builds';

export const GET = route({ id: 'build' }, async ({ id, path }) =>
  fileResponse(path, await getBuildFile(id, path)),
);
