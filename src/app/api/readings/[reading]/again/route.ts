import { route } from '@/server/route';
import { readAgain } from '@/server/useCases/readFile';

export const POST = route({ id: 'reading' }, ({ id, request }) => readAgain(id, request.signal));
