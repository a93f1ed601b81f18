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
  /** Of the newest edit; null for none. */
  readonly edited_at: Date | null;
  /** Of the newest finished build; null for none. */
  readonly built_at: Date | null;
  /** The number of edits after that build. */
  readonly edits_since: number;
}

const INSERT = 'insert into projects (name, demo_digest) values ($1, $2) returning id';
const REMOVE = 'delete from projects where id = $1';
const RENAME = 'update projects set name = $2 where id = $1';
const COPY = `
  with project as (insert into projects (name) select $2 from projects where id = $1 returning id),
  fonts as (
    insert into fonts (owner, digest, file_name, family, weight, italic, size)
    select project.id, digest, file_name, family, weight, italic, size from fonts f, project where f.owner = $1)
  select id from project`;
/** Copies a mockup with its newest revision, tags, views and options into another project. */
const COPY_MOCKUPS = `
  with pairs as (select id as old, gen_random_uuid() as new from mockups where project_id = $1),
  mockup as (
    insert into mockups (id, project_id, name, format, build_options)
    select new, $2, name, format, build_options from mockups join pairs on old = id returning id),
  revision as (
    insert into revisions (mockup_id, number, file_name, source_digest, picture_digest, small_digest, tree, tree_version,
                           findings, layer_count, layer_ids, cause)
    select new, 1, file_name, source_digest, picture_digest, small_digest, tree, tree_version, findings, layer_count,
           layer_ids, 'file'
      from pairs join lateral (select * from revisions where mockup_id = old order by number desc limit 1) r on true
    returning id, mockup_id),
  asset as (
    insert into revision_assets (revision_id, name, digest)
    select revision.id, a.name, a.digest
      from pairs
      join revision on revision.mockup_id = new
      join lateral (select id from revisions where mockup_id = old order by number desc limit 1) r on true
      join revision_assets a on a.revision_id = r.id),
  tag as (
    insert into tags (mockup_id, layer_id, facet, value)
    select new, layer_id, facet, value from tags join pairs on old = mockup_id),
  view as (
    insert into views (mockup_id, query, created_at)
    select new, query, created_at from views join pairs on old = mockup_id)
  select new as id from pairs`;
const NAME = 'select name from projects where id = $1';
const FIND_DEMO = 'select id from projects where demo_digest = $1';
const SHELF = `
  select p.id as project_id, m.id as mockup_id, p.name, r.file_name, r.layer_count, r.number as revision,
         r.picture_digest as picture, p.created_at,
         (select count(distinct t.layer_id)::int from tags t where t.mockup_id = m.id) as tagged,
         (select created_at from edits where mockup_id = m.id order by id desc limit 1) as edited_at,
         b.finished_at as built_at,
         (select count(*)::int from edits where mockup_id = m.id and id > b.last_edit) as edits_since
    from projects p
    join mockups m on m.project_id = p.id
    join lateral (select file_name, layer_count, number, picture_digest from revisions
                   where mockup_id = m.id order by number desc limit 1) r on true
    left join lateral (select finished_at, last_edit from builds
                        where mockup_id = m.id and state = 'done' order by created_at desc limit 1) b on true
   order by p.created_at desc, m.name`;

export async function insertProject(db: Queryable, name: string, demoDigest: string | null): Promise<string> {
  const { rows } = await db.query<{ id: string }>(INSERT, [name, demoDigest]);
  return rows[0]!.id;
}

export async function projectName(db: Queryable, id: string): Promise<string | null> {
  const { rows } = await db.query<{ name: string }>(NAME, [id]);
  return rows[0]?.name ?? null;
}

/** False when the project is gone. */
export async function renameProject(db: Queryable, id: string, name: string): Promise<boolean> {
  const { rowCount } = await db.query(RENAME, [id, name]);
  return rowCount === 1;
}

/** Copies a project with its fonts and mockups, without their trails and builds; null when it is gone. */
export async function copyProject(db: Queryable, id: string, name: string): Promise<string | null> {
  const { rows } = await db.query<{ id: string }>(COPY, [id, name]);
  const copy = rows[0]?.id ?? null;
  if (copy !== null) await db.query(COPY_MOCKUPS, [id, copy]);
  return copy;
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
