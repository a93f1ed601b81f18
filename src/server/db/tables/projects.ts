import type { Queryable } from '../pool';

export interface ShelfRow {
  readonly project_id: string;
  readonly mockup_id: string;
  readonly name: string;
  readonly file_name: string;
  readonly layer_count: number;
  /** The digest of its picture, which identifies the reading. */
  readonly picture: string;
  readonly revision: number;
  readonly tagged: number;
  readonly created_at: Date;
}

const INSERT = 'insert into projects (name, demo_digest) values ($1, $2) returning id';
const REMOVE = 'delete from projects where id = $1';
const FIND_DEMO = 'select id from projects where demo_digest = $1';
const SHELF = `
  select p.id as project_id, m.id as mockup_id, p.name, r.file_name, r.layer_count, r.number as revision,
         r.picture_digest as picture, p.created_at,
         (select count(distinct t.layer_id)::int from tags t where t.mockup_id = m.id) as tagged
    from projects p
    join mockups m on m.project_id = p.id
    join lateral (select file_name, layer_count, number, picture_digest from revisions
                   where mockup_id = m.id order by number desc limit 1) r on true
   order by p.created_at desc, m.name`;

export async function insertProject(db: Queryable, name: string, demoDigest: string | null): Promise<string> {
  const { rows } = await db.query<{ id: string }>(INSERT, [name, demoDigest]);
  return rows[0]!.id;
}

export async function removeProject(db: Queryable, id: string): Promise<boolean> {
  const { rowCount } = await db.query(REMOVE, [id]);
  return rowCount === 1;
}

export async function hasDemo(db: Queryable, digest: string): Promise<boolean> {
  const { rows } = await db.query(FIND_DEMO, [digest]);
  return rows.length > 0;
}

export async function shelf(db: Queryable): Promise<readonly ShelfRow[]> {
  const { rows } = await db.query<ShelfRow>(SHELF);
  return rows;
}
