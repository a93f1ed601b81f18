import { respond } from '@/server/http';
import { MOST_FONT_BYTES, readBody } from '@/server/readBody';
import { addFont } from '@/server/useCases/addFont';

/** The body is the font file; its name is in the address. */
export function POST(request: Request): Promise<Response> {
  return respond(async () => {
    const fileName = new URL(request.url).searchParams.get('name')?.slice(0, 200) || 'font';
    return addFont(fileName, await readBody(request, MOST_FONT_BYTES));
  });
}
