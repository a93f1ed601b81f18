import { route } from '@/server/route';
import { removeProject } from '@/server/useCases/remove';

export const DELETE = route({ id: 'project' }, ({ id }) => removeProject(id));
