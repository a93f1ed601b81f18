import { jsonResponse } from '@/server/http';
import { route } from '@/server/route';
import { openMockup } from '@/server/useCases/openMockup';

export const GET = route({ id: 'mockup' }, async ({ id, person }) =>
  jsonResponse(await openMockup(id, person)),
);
