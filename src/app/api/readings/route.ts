import { respond, parseId } from '@/server/http';
import { MOST_BYTES, readBody } from '@/server/readBody';
import { readFile } from '@/server/useCases/readFile';

/** The body is the file; its name and the reading's new id are in the address. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const { searchParams } = new URL(request.url);
    const fileName = searchParams.get('name')?.slice(0, 200) || 'mockup.svg';
    const id = parseId(searchParams.get('id') ?? crypto.randomUUID(), 'This reading');
    return readFile(id, fileName, await readBody(request, MOST_BYTES), request.signal);
  });
}
