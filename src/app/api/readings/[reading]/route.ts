import { route } from '@/server/route';
import { removeReading, getReadingView } from '@/server/useCases/readFile';

export const GET = route({ id: 'reading' }, ({ id }) => getReadingView(id));

export const DELETE = route({ id: 'reading' }, ({ id }) => removeReading(id));
