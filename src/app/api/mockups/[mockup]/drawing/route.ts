import { fileResponse } from '@/server/fileResponse';
import { route } from '@/server/route';
import { drawingSchema, drawScreen } from '@/server/useCases/drawLayers';

/** A screen or a selection of its layers as SVG; the query parameters select. */
export const GET = route({ id: 'mockup', query: drawingSchema }, async ({ id, query }) =>
  fileResponse('drawing.svg', new TextEncoder().encode(await drawScreen(id, query))),
);
