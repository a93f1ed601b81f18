import { route } from '@/server/route';
import { buildSchema, listBuilds, orderBuild } from '@/server/useCases/builds';

export const GET = route({ id: 'mockup' }, async ({ id }) => ({ builds: await listBuilds(id) }));

export const POST = route({ id: 'mockup', body: buildSchema }, ({ id, body }) => orderBuild(id, body));
