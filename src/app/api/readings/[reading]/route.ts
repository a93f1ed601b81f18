import { jsonResponse } from '@/server/http';
import { route } from '@/server/route';
import { getReadingView } from '@/server/useCases/readFile';
import { removeReading } from '@/server/useCases/remove';

export const GET = route({ id: 'reading' }, async ({ id }) => jsonResponse(await getReadingView(id)));

export const DELETE = route({ id: 'reading' }, ({ id }) => removeReading(id));
