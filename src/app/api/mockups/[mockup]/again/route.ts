import { jsonResponse } from '@/server/http';
import { route } from '@/server/route';
import { rereadMockup } from '@/server/useCases/reviewMockup';

export const POST = route({ id: 'mockup' }, async ({ id, request }) =>
  jsonResponse(await rereadMockup(id, request.signal)),
);
