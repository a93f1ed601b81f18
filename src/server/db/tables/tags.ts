import type { Facet } from '../../../core/sort/facets/facets';
import type { Tag } from '../../../core/sort/tag';
import type { Queryable } from '../pool';

const SELECT = 'select layer_id, facet, value from tags where mockup_id = $1';
const PUT = `
  insert into tags (mockup_id, layer_id, facet, value)
  select $1, layer_id, facet, value from jsonb_to_recordset($2::jsonb) as t(layer_id text, facet text, value jsonb)
  on conflict (mockup_id, layer_id, facet) do update set value = excluded.value`;
const REMOVE = `
  delete from tags t using jsonb_to_recordset($2::jsonb) as gone(layer_id text, facet text)
   where t.mockup_id = $1 and t.layer_id = gone.layer_id and t.facet = gone.facet`;

export interface FacetRow {
  readonly layer_id: string;
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
  facets: readonly Pick<FacetRow, 'layer_id' | 'facet'>[],
): Promise<void> {
  if (facets.length > 0) await db.query(REMOVE, [mockupId, JSON.stringify(facets)]);
}
