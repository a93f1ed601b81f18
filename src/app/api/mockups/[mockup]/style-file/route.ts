import Joi from 'joi';
import { route } from '@/server/route';
import { exportStyle, importStyle } from '@/server/useCases/styleFiles';

/** Names of many classes. */
const MOST_BYTES = 2 * 1024 * 1024;

export const GET = route({ id: 'mockup' }, ({ id }) => exportStyle(id));

/** Takes what an exported file says; the file itself is checked as far as it is known. */
export const POST = route(
  { id: 'mockup', body: Joi.object<Record<string, unknown>>().unknown(), most: MOST_BYTES },
  ({ id, body, person }) => importStyle(id, body, person),
);
