import { route } from '@/server/route';
import { projectSchema, renameProject } from '@/server/useCases/projects';
import { removeProject } from '@/server/useCases/remove';

export const PATCH = route({ id: 'project', body: projectSchema }, ({ id, body }) =>
  renameProject(id, body.name),
);

export const DELETE = route({ id: 'project' }, ({ id }) => removeProject(id));
