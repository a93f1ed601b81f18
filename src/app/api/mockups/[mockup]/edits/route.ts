import { route } from '@/server/route';
import { setFacets, tagEditsSchema } from '@/server/useCases/editTags';
import { followEdits, followSchema } from '@/server/useCases/followEdits';

/** An edit may set thousands of layers at once. */
const MOST_EDIT_BYTES = 8 * 1024 * 1024;

export const POST = route(
  { id: 'mockup', body: tagEditsSchema, most: MOST_EDIT_BYTES },
  ({ id, body: { edits, ...known }, person }) => setFacets(id, edits, { ...known, person }),
);

/** What was edited after the edit `after`, so that other tabs and people can follow. */
export const GET = route({ id: 'mockup', query: followSchema }, ({ id, query, person }) =>
  followEdits(id, query.after, person),
);
