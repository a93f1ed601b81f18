import { respond, parseId } from '@/server/http';
import { fileResponse } from '@/server/fileResponse';
import { getBuildFile } from '@/server/useCases/builds';

interface Context {
  readonly params: Promise<{ build: string; path: string[] }>;
}

export function GET(_: Request, { params }: Context): Promise<Response> {
  return respond(async () => {
    const { build, path } = await params;
    const file = path.map(decodeURIComponent).join('/');
    return fileResponse(file, await getBuildFile(parseId(build, 'This build'), file));
  });
}
