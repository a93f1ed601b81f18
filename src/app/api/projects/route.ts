import { respond, body } from '@/server/http';
import { pool } from '@/server/db/pool';
import { shelf } from '@/server/db/tables/projects';
import { newProjectSchema, shelveReading } from '@/server/useCases/addProject';

export function GET(): Promise<Response> {
  return respond(async () => ({ projects: await shelf(pool()) }));
}

/** Puts a kept reading on the shelf. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => shelveReading((await body(request, newProjectSchema)).reading));
}
