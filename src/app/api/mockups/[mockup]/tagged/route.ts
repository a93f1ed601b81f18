import { respond, parseId } from '@/server/http';
import { sourceWithTags } from '@/server/useCases/sourceWithTags';

/** The mockup's own file with its tags, for download. */
export function GET(_: Request, { params }: { params: Promise<{ mockup: string }> }): Promise<Response> {
  return respond(async () => {
    const { fileName, svg } = await sourceWithTags(parseId((await params).mockup, 'This mockup'));
    return new Response(svg, {
      headers: {
        // Never displayed as a page, since it is an upload.
        'content-type': 'application/octet-stream',
        'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(fileName)}`,
        'x-content-type-options': 'nosniff',
      },
    });
  });
}
