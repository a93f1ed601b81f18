import { fileResponse } from '@/server/fileResponse';
import { answer, parseId, query } from '@/server/http';
import { drawingSchema, drawScreen } from '@/server/useCases/drawLayers';

/** A screen, or some of it alone, as SVG; what is wanted stands in the address. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return answer(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const wish = query(request, drawingSchema);
    return fileResponse('drawing.svg', new TextEncoder().encode(await drawScreen(id, wish)));
  });
}
