import { safeName } from '@/core/sort/outputNames';
import { route } from '@/server/route';
import { packBuild } from '@/server/useCases/builds';

export const GET = route({ id: 'build' }, async ({ id }) => {
  const { name, bytes } = await packBuild(id);
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${safeName(name) || 'page'}.zip"`,
    },
  });
});
