import { answer, parseId } from '@/server/http';
import { sourceWithTags } from '@/server/useCases/sourceWithTags';

/** The mockup's own file with the tags in it, to be taken away. */
export function GET(_: Request, { params }: { params: Promise<{ mockup: string }> }): Promise<Response> {
  return answer(async () => {
    const { fileName, svg } = await sourceWithTags(parseId((await params).mockup, 'This mockup'));
    return new Response(svg, {
      headers: {
        // Never shown as a page: it is what was uploaded.
        'content-type': 'application/octet-stream',
        'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(fileName)}`,
        'x-content-type-options': 'nosniff',
      },
    });
  });
}
