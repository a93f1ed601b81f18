import { route } from '@/server/route';
import { sourceWithTags } from '@/server/useCases/sourceWithTags';

/** The mockup's own file with its tags, for download. */
export const GET = route({ id: 'mockup' }, async ({ id }) => {
  const { fileName, svg } = await sourceWithTags(id);
  return new Response(svg, {
    headers: {
      // Never displayed as a page, since it is an upload.
      'content-type': 'application/octet-stream',
      'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(fileName)}`,
      'x-content-type-options': 'nosniff',
    },
  });
});
