import { MOST_FONT_BYTES, readBody } from '@/server/readBody';
import { route } from '@/server/route';
import { addFont, addedFontSchema } from '@/server/useCases/addFont';

/** The body is the font file; its name is in the address. */
export const POST = route({ query: addedFontSchema }, async ({ query, request }) =>
  addFont(query.name, await readBody(request, MOST_FONT_BYTES)),
);
