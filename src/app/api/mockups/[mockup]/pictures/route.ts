import { route } from '@/server/route';
import { listPictures } from '@/server/useCases/pictures';

/** The pictures that a build would make now. */
export const GET = route({ id: 'mockup' }, ({ id, request }) => listPictures(id, request.signal));
