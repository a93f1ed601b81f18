import { applyChanges } from '../../core/sort/change';
import type { Tags } from '../../core/sort/tag';
import type { Queryable } from '../db/pool';
import { getFacets } from '../db/tables/tags';

/** The current tags of a mockup. */
export async function currentTags(db: Queryable, mockupId: string): Promise<Tags> {
  const rows = await getFacets(db, mockupId);
  return applyChanges(
    new Map(),
    rows.map((row) => ({ layer: row.layer_id, facet: row.facet, after: row.value })),
  );
}
