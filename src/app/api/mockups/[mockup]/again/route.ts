import { route } from '@/server/route';
import { rereadMockup } from '@/server/useCases/reviewMockup';

export const POST = route({ id: 'mockup' }, ({ id, request }) => rereadMockup(id, request.signal));
