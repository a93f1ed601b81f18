import { route } from '@/server/route';
import { stepSchema, redo } from '@/server/useCases/editTags';

export const POST = route({ id: 'mockup', body: stepSchema }, ({ id, body, person }) =>
  redo(id, { ...body, person }),
);
