import { respond, parseId } from '@/server/http';
import { fileResponse } from '@/server/fileResponse';
import { getProofPicture } from '@/server/useCases/proofs';

interface Context {
  readonly params: Promise<{ build: string; path: string[] }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return respond(async () => {
    const { build, path } = await params;
    const file = path.map(decodeURIComponent).join('/');
    return fileResponse(file, await getProofPicture(parseId(build, 'This build'), file));
  });
}
