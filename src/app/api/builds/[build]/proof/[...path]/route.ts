import { fileResponse } from '@/server/fileResponse';
import { route } from '@/server/route';
import { getProofPicture } from '@/server/useCases/proofs';

export const GET = route({ id: 'build' }, async ({ id, path }) =>
  fileResponse(path, await getProofPicture(id, path)),
);
