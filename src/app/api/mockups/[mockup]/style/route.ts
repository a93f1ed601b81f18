import { jsonResponse } from '@/server/http';
import { route } from '@/server/route';
import { styleOfMockup } from '@/server/useCases/styleOfMockup';

export const GET = route({ id: 'mockup' }, async ({ id }) => jsonResponse(await styleOfMockup(id)));
