import { jsonResponse, parseId } from '@/server/http';
import { MOST_BYTES, readBody } from '@/server/readBody';
import { route } from '@/server/route';
import { readFile, readingSchema } from '@/server/useCases/readFile';

/** The body is the file; its name and the reading's new id are in the address. */
export const POST = route({ query: readingSchema }, async ({ query, request }) => {
  const id = parseId(query.id ?? crypto.randomUUID(), 'This reading');
  return jsonResponse(await readFile(id, query.name, await readBody(request, MOST_BYTES), request.signal));
});
