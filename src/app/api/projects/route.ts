import { route } from '@/server/route';
import { newProjectSchema, shelveReading } from '@/server/useCases/addProject';
import { listProjects } from '@/server/useCases/shelf';

export const GET = route({}, listProjects);

/** Puts a kept reading on the shelf. */
export const POST = route({ body: newProjectSchema }, ({ body }) => shelveReading(body.reading));
