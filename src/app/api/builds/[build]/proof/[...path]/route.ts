import { answer, parseId } from '@/server/http';
import { fileResponse } from '@/server/fileResponse';
import { seeProofPicture } from '@/server/useCases/proofs';

interface Context {
  readonly params: Promise<{ build: string; path: string[] }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return answer(async () => {
    const { build, path } = await params;
    const file = path.map(decodeURIComponent).join('/');
    return fileResponse(file, await seeProofPicture(parseId(build, 'This build'), file));
  });
}
