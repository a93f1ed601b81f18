import type { ConvertOptions } from '../../../core/convert';
import type { Tag } from '../../../core/sort/tag';
import type { Queryable } from '../pool';
import type { BuildResult, BuildState } from '../../buildTypes';

export interface BuildRow {
  readonly id: string;
  readonly mockup_id: string;
  readonly revision_id: string;
  readonly options: ConvertOptions;
  readonly tags: Record<string, Tag>;
  readonly state: BuildState;
  readonly done: number;
  readonly total: number;
  readonly problem: string | null;
  readonly result: BuildResult | null;
  /** The blob of its `BuildRecord`; null before it is done, and for builds of an earlier Orden. */
  readonly record_digest: string | null;
  readonly created_at: Date;
  /** The number of edits after it was ordered. */
  readonly edits_since: number;
}

const COLUMNS = `
  id, mockup_id, revision_id, options, tags, state, done, total, problem, result, record_digest, created_at,
  (select count(*)::int from edits e where e.mockup_id = builds.mockup_id and e.id > builds.last_edit) as edits_since`;
const INSERT = `insert into builds (mockup_id, revision_id, options, tags, last_edit)
  values ($1, $2, $3, $4, coalesce((select max(id) from edits where mockup_id = $1), 0)) returning id`;
const SELECT = `select ${COLUMNS} from builds where id = $1`;
const NEWEST = `select ${COLUMNS} from builds where mockup_id = $1 order by created_at desc limit $2`;
const UNFINISHED = `select id from builds where state in ('waiting', 'running') order by created_at`;
const LAYERS = `
  select r.layer_count from builds b join revisions r on r.id = b.revision_id where b.id = $1`;
const START = `
  update builds set state = 'running', attempts = attempts + 1
   where id = $1 and state in ('waiting', 'running') returning attempts`;
const PROGRESS = `update builds set done = $2, total = $3 where id = $1 and state = 'running' returning id`;
const FINISH = `update builds set state = 'done', result = $2, record_digest = $3, finished_at = now() where id = $1 and state = 'running'`;
const FAIL = `update builds set state = 'failed', problem = $2, finished_at = now() where id = $1 and state = 'running'`;
const CANCEL = `
  update builds set state = 'cancelled', finished_at = now() where id = $1 and state in ('waiting', 'running')`;
const INSERT_FILE = `
  insert into build_files (build_id, path, digest, size) values ($1, $2, $3, $4)
  on conflict (build_id, path) do update set digest = excluded.digest, size = excluded.size`;
const FILE = `
  select b.bytes from build_files f join blobs b on b.digest = f.digest where f.build_id = $1 and f.path = $2`;
const FILES = `
  select f.path, b.bytes from build_files f join blobs b on b.digest = f.digest where f.build_id = $1 order by f.path`;

export async function insertBuild(
  db: Queryable,
  mockupId: string,
  revisionId: string,
  options: ConvertOptions,
  tags: Record<string, Tag>,
): Promise<string> {
  const values = [mockupId, revisionId, JSON.stringify(options), JSON.stringify(tags)];
  const { rows } = await db.query<{ id: string }>(INSERT, values);
  return rows[0]!.id;
}

/** The builds that wait or were under way, the oldest first. */
export async function unfinishedBuilds(db: Queryable): Promise<readonly string[]> {
  const { rows } = await db.query<{ id: string }>(UNFINISHED);
  return rows.map(({ id }) => id);
}

/** The number of layers of the revision that is built; 0 when it is gone. */
export async function layersOfBuild(db: Queryable, id: string): Promise<number> {
  const { rows } = await db.query<{ layer_count: number }>(LAYERS, [id]);
  return rows[0]?.layer_count ?? 0;
}

export async function getBuild(db: Queryable, id: string): Promise<BuildRow | null> {
  const { rows } = await db.query<BuildRow>(SELECT, [id]);
  return rows[0] ?? null;
}

export async function newestBuilds(
  db: Queryable,
  mockupId: string,
  most: number,
): Promise<readonly BuildRow[]> {
  const { rows } = await db.query<BuildRow>(NEWEST, [mockupId, most]);
  return rows;
}

/** How often the build was begun, with this time; null when it was cancelled before it started. */
export async function startBuild(db: Queryable, id: string): Promise<number | null> {
  const { rows } = await db.query<{ attempts: number }>(START, [id]);
  return rows[0]?.attempts ?? null;
}

/** Records the progress of the build; false when it was cancelled meanwhile. */
export async function noteProgress(db: Queryable, id: string, done: number, total: number): Promise<boolean> {
  const { rowCount } = await db.query(PROGRESS, [id, done, total]);
  return rowCount === 1;
}

/** False when the build was cancelled meanwhile: then none of its files are kept. */
export async function finishBuild(
  db: Queryable,
  id: string,
  result: BuildResult,
  recordDigest: string,
): Promise<boolean> {
  const { rowCount } = await db.query(FINISH, [id, JSON.stringify(result), recordDigest]);
  return rowCount === 1;
}

export async function failBuild(db: Queryable, id: string, problem: string): Promise<void> {
  await db.query(FAIL, [id, problem]);
}

export async function cancelBuild(db: Queryable, id: string): Promise<boolean> {
  const { rowCount } = await db.query(CANCEL, [id]);
  return rowCount === 1;
}

export async function insertBuildFile(
  db: Queryable,
  id: string,
  path: string,
  digest: string,
  size: number,
): Promise<void> {
  await db.query(INSERT_FILE, [id, path, digest, size]);
}

export async function buildFile(db: Queryable, id: string, path: string): Promise<Uint8Array | null> {
  const { rows } = await db.query<{ bytes: Buffer }>(FILE, [id, path]);
  return rows[0]?.bytes ?? null;
}

export async function buildFiles(
  db: Queryable,
  id: string,
): Promise<readonly { path: string; bytes: Uint8Array }[]> {
  const { rows } = await db.query<{ path: string; bytes: Buffer }>(FILES, [id]);
  return rows;
}
