import { fileResponse } from '@/server/fileResponse';
import { respond, parseId, query } from '@/server/http';
import { drawingSchema, drawScreen } from '@/server/useCases/drawLayers';

/** A screen or a selection of its layers as SVG; the query parameters select. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return respond(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const asked = query(request, drawingSchema);
    return fileResponse('drawing.svg', new TextEncoder().encode(await drawScreen(id, asked)));
  });
}
