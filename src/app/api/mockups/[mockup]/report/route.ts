import { route } from '@/server/route';
import { reviewMockup } from '@/server/useCases/reviewMockup';

export const GET = route({ id: 'mockup' }, ({ id }) => reviewMockup(id));
