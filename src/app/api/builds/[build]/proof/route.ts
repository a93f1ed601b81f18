import { respond, parseId } from '@/server/http';
import { orderProof, getProofView } from '@/server/useCases/proofs';

interface Context {
  readonly params: Promise<{ build: string }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return respond(async () => getProofView(parseId((await params).build, 'This build')));
}

export function POST(_: Request, { params }: Context): Promise<Response> {
  return respond(async () => orderProof(parseId((await params).build, 'This build')));
}
