import { fileResponse } from '@/server/fileResponse';
import { route } from '@/server/route';
import { drawLayer, layerPictureSchema } from '@/server/useCases/drawLayers';

const NOTHING = '<svg xmlns="http://www.w3.org/2000/svg" width="1" height="1"/>';

/** A layer alone, small, as SVG. The address names the reading that it is from, so it lasts. */
export const GET = route({ id: 'mockup', query: layerPictureSchema }, async ({ id, query }) => {
  const { svg, isStable } = await drawLayer(id, query.layer);
  const response = fileResponse('layer.svg', new TextEncoder().encode(svg ?? NOTHING));
  if (isStable) response.headers.set('cache-control', 'private, max-age=86400');
  return response;
});
