import { route } from '@/server/route';
import { cancelProof, orderProof, getProofView } from '@/server/useCases/proofs';

export const GET = route({ id: 'build' }, ({ id }) => getProofView(id));

export const POST = route({ id: 'build' }, ({ id }) => orderProof(id));

export const DELETE = route({ id: 'build' }, ({ id }) => cancelProof(id));
