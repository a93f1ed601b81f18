import { answer, parseId } from '@/server/http';
import { orderProof, seeProof } from '@/server/useCases/proofs';

interface Context {
  readonly params: Promise<{ build: string }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return answer(async () => seeProof(parseId((await params).build, 'This build')));
}

export function POST(_: Request, { params }: Context): Promise<Response> {
  return answer(async () => orderProof(parseId((await params).build, 'This build')));
}
