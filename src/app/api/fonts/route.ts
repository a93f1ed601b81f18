import { MOST_FONT_BYTES, readBody } from '@/server/readBody';
import { route } from '@/server/route';
import { addFont, addedFontSchema, removedFontSchema, removeFont } from '@/server/useCases/fonts';

/** The body is the font file; its name is in the address. */
export const POST = route({ query: addedFontSchema }, async ({ query, request }) =>
  addFont(query.owner, query.name, await readBody(request, MOST_FONT_BYTES)),
);

export const DELETE = route({ query: removedFontSchema }, ({ query }) =>
  removeFont(query.owner, query.digest),
);
