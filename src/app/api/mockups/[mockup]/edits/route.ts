import { route } from '@/server/route';
import { setFacets, tagEditsSchema } from '@/server/useCases/editTags';
import { followEdits, followSchema } from '@/server/useCases/followEdits';

export const POST = route({ id: 'mockup', body: tagEditsSchema }, ({ id, body: { edits, ...known } }) =>
  setFacets(id, edits, known),
);

/** What was edited after the edit `after`, so that other tabs and people can follow. */
export const GET = route({ id: 'mockup', query: followSchema }, ({ id, query }) =>
  followEdits(id, query.after),
);
