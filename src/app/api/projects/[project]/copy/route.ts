import { route } from '@/server/route';
import { copyProject } from '@/server/useCases/projects';

export const POST = route({ id: 'project' }, ({ id }) => copyProject(id));
