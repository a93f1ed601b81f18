import { answer } from '@/server/http';
import { pool } from '@/server/db/pool';
import { shelf } from '@/server/db/tables/projects';
import { readBody } from '@/server/readBody';
import { addProject } from '@/server/useCases/addProject';
import { readInWorker } from '@/server/workers/workers';

export function GET(): Promise<Response> {
  return answer(async () => ({ projects: await shelf(pool()) }));
}

/** The body is the file; its name is in the address. */
export function POST(request: Request): Promise<Response> {
  return answer(async () => {
    const fileName = new URL(request.url).searchParams.get('name')?.slice(0, 200) || 'mockup.svg';
    const bytes = await readBody(request);
    const reading = await readInWorker({ bytes, fileName }, request.signal);
    // A reading that was stopped leaves nothing on the shelf.
    request.signal.throwIfAborted();
    return addProject({ bytes, fileName, reading, demoDigest: null });
  });
}
