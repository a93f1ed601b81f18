import { route } from '@/server/route';
import { openMockup } from '@/server/useCases/openMockup';

export const GET = route(
  { id: 'mockup' },
  async ({ id }) =>
    new Response(await openMockup(id), { headers: { 'content-type': 'application/json; charset=utf-8' } }),
);
