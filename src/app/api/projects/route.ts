import { pool } from '@/server/db/pool';
import { shelf } from '@/server/db/tables/projects';
import { route } from '@/server/route';
import { newProjectSchema, shelveReading } from '@/server/useCases/addProject';

export const GET = route({}, async () => ({ projects: await shelf(pool()) }));

/** Puts a kept reading on the shelf. */
export const POST = route({ body: newProjectSchema }, ({ body }) => shelveReading(body.reading));
