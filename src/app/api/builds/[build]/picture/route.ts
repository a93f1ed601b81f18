import { fileResponse } from '@/server/fileResponse';
import { route } from '@/server/route';
import { buildPicture } from '@/server/useCases/buildRecords';

/** The sheet of the revision that was built, as SVG. */
export const GET = route({ id: 'build' }, async ({ id }) =>
  fileResponse('picture.svg', await buildPicture(id)),
);
