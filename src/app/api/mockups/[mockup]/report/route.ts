import { jsonResponse } from '@/server/http';
import { route } from '@/server/route';
import { reviewMockup } from '@/server/useCases/reviewMockup';

export const GET = route({ id: 'mockup' }, async ({ id }) => jsonResponse(await reviewMockup(id)));
