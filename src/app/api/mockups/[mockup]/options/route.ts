import { route } from '@/server/route';
import { buildSchema, keepOptions } from '@/server/useCases/builds';

/** Keeps how the page is to be built. */
export const PUT = route({ id: 'mockup', body: buildSchema }, ({ id, body }) => keepOptions(id, body));
