import { jsonResponse } from '@/server/http';
import { route } from '@/server/route';
import { getBuildRecord } from '@/server/useCases/buildRecords';

/** The layers, decisions and source map of a build, as they were when it ran. */
export const GET = route({ id: 'build' }, async ({ id }) => jsonResponse(await getBuildRecord(id)));
