import { route } from '@/server/route';
import { stepSchema, undo } from '@/server/useCases/editTags';

export const POST = route({ id: 'mockup', body: stepSchema }, ({ id, body, person }) =>
  undo(id, { ...body, person }),
);
