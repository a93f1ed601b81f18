import { route } from '@/server/route';
import { trialSchema, tryPicture } from '@/server/useCases/pictures';

/** The qualities of a format, tried on a picture. */
export const GET = route({ id: 'mockup', query: trialSchema }, ({ id, query, request }) =>
  tryPicture(id, query, request.signal),
);
