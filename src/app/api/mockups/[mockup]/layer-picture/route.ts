import { fileResponse } from '@/server/fileResponse';
import { respond, parseId } from '@/server/http';
import { drawLayer } from '@/server/useCases/drawLayers';

const NOTHING = '<svg xmlns="http://www.w3.org/2000/svg" width="1" height="1"/>';

/** A layer alone, small, as SVG. The address names the reading that it is from, so it lasts. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const { svg, isStable } = await drawLayer(id, new URL(request.url).searchParams.get('layer') ?? '');
    const response = fileResponse('layer.svg', new TextEncoder().encode(svg ?? NOTHING));
    if (isStable) response.headers.set('cache-control', 'private, max-age=86400');
    return response;
  });
}
