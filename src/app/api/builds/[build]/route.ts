import { route } from '@/server/route';
import { getBuildView, cancelBuild } from '@/server/useCases/builds';

export const GET = route({ id: 'build' }, ({ id }) => getBuildView(id));

export const DELETE = route({ id: 'build' }, ({ id }) => cancelBuild(id));
