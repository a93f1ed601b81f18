import Joi from 'joi';
import { fileResponse } from '@/server/fileResponse';
import { answer, parseId } from '@/server/http';
import { drawingSchema, drawScreen, type DrawingWish } from '@/server/useCases/drawLayers';

/** A screen, or some of it alone, as SVG; what is wanted stands in the address. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ mockup: string }> },
): Promise<Response> {
  return answer(async () => {
    const id = parseId((await params).mockup, 'This mockup');
    const { searchParams } = new URL(request.url);
    const wish = Joi.attempt(
      {
        screen: searchParams.get('screen') ?? undefined,
        of: searchParams.get('of') ?? undefined,
        layer: searchParams.getAll('layer'),
        fit: searchParams.get('fit') ?? undefined,
        worn: searchParams.get('worn') ?? undefined,
      },
      drawingSchema,
    ) as DrawingWish;
    return fileResponse('drawing.svg', new TextEncoder().encode(await drawScreen(id, wish)));
  });
}
