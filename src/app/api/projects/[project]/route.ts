import { pool } from '@/server/db/pool';
import { removeProject } from '@/server/db/tables/projects';
import { NOT_FOUND } from '@/server/http';
import { route } from '@/server/route';

export const DELETE = route({ id: 'project' }, async ({ id }) => {
  if (!(await removeProject(pool(), id))) throw NOT_FOUND('This project');
  return { id };
});
