import type { Queryable } from '../pool';

const INSERT = 'insert into views (mockup_id, query) values ($1, $2) on conflict do nothing';
const REMOVE = 'delete from views where mockup_id = $1 and query = $2';
const SELECT = 'select query from views where mockup_id = $1 order by created_at, query';

export async function insertView(db: Queryable, mockupId: string, query: string): Promise<void> {
  await db.query(INSERT, [mockupId, query]);
}

export async function removeView(db: Queryable, mockupId: string, query: string): Promise<void> {
  await db.query(REMOVE, [mockupId, query]);
}

/** The saved queries of a mockup, the oldest first. */
export async function keptViews(db: Queryable, mockupId: string): Promise<readonly string[]> {
  const { rows } = await db.query<{ query: string }>(SELECT, [mockupId]);
  return rows.map(({ query }) => query);
}
