import { jsonResponse } from '@/server/http';
import { route } from '@/server/route';
import { readAgain } from '@/server/useCases/readFile';

export const POST = route({ id: 'reading' }, async ({ id, request }) =>
  jsonResponse(await readAgain(id, request.signal)),
);
