import type { Facet } from '../../../core/sort/facets/facets';
import type { Tag } from '../../../core/sort/tag';
import type { Queryable } from '../pool';

const SELECT = 'select layer_key, facet, value from tags where mockup_id = $1';
const PUT = `
  insert into tags (mockup_id, layer_key, facet, value)
  select $1, layer_key, facet, value from jsonb_to_recordset($2::jsonb) as t(layer_key text, facet text, value jsonb)
  on conflict (mockup_id, layer_key, facet) do update set value = excluded.value`;
const REMOVE = `
  delete from tags t using jsonb_to_recordset($2::jsonb) as gone(layer_key text, facet text)
   where t.mockup_id = $1 and t.layer_key = gone.layer_key and t.facet = gone.facet`;

export interface FacetRow {
  readonly layer_key: string;
  readonly facet: Facet;
  readonly value: NonNullable<Tag[Facet]>;
}

export async function getFacets(db: Queryable, mockupId: string): Promise<readonly FacetRow[]> {
  const { rows } = await db.query<FacetRow>(SELECT, [mockupId]);
  return rows;
}

export async function putFacets(db: Queryable, mockupId: string, facets: readonly FacetRow[]): Promise<void> {
  if (facets.length > 0) await db.query(PUT, [mockupId, JSON.stringify(facets)]);
}

export async function removeFacets(
  db: Queryable,
  mockupId: string,
  facets: readonly Pick<FacetRow, 'layer_key' | 'facet'>[],
): Promise<void> {
  if (facets.length > 0) await db.query(REMOVE, [mockupId, JSON.stringify(facets)]);
}
