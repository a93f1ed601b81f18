import { fileResponse } from '@/server/fileResponse';
import { answer, parseId } from '@/server/http';
import { drawLayer } from '@/server/useCases/drawLayers';

const NOTHING = '<svg xmlns="http://www.w3.org/2000/svg" width="1" height="1"/>';

/** A layer alone, small, as SVG. The address names the reading that it is from, so it never changes. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return answer(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const svg = await drawLayer(id, new URL(request.url).searchParams.get('layer') ?? '');
    const response = fileResponse('layer.svg', new TextEncoder().encode(svg ?? NOTHING));
    response.headers.set('cache-control', 'private, max-age=86400');
    return response;
  });
}
