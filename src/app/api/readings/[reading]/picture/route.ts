import { fileResponse } from '@/server/fileResponse';
import { route } from '@/server/route';
import { readingPicture } from '@/server/useCases/readFile';

export const GET = route({ id: 'reading' }, async ({ id }) =>
  fileResponse('picture.svg', await readingPicture(id)),
);
