import type { Finding } from '../../../core/findings/finding';
import { TREE_VERSION, type Mockup } from '../../../core/mockup/mockup';
import type { Queryable } from '../pool';

export interface ReadingRow {
  readonly id: string;
  readonly file_name: string;
  readonly source_digest: string;
  readonly picture_digest: string;
  readonly tree: Mockup;
  readonly findings: readonly Finding[];
  readonly layer_count: number;
  readonly assets: Readonly<Record<string, string>>;
}

const PUT = `
  insert into readings
    (id, file_name, source_digest, picture_digest, tree, findings, layer_count, assets, tree_version)
  values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
  on conflict (id) do update set picture_digest = excluded.picture_digest, tree = excluded.tree,
    findings = excluded.findings, layer_count = excluded.layer_count, assets = excluded.assets,
    tree_version = excluded.tree_version
    where readings.source_digest = excluded.source_digest`;
const SELECT = `
  select id, file_name, source_digest, picture_digest, tree, findings, layer_count, assets
    from readings where id = $1`;
const REMOVE = 'delete from readings where id = $1';
/** Removes readings that were never put on the shelf, and those with an outdated tree. */
const REMOVE_OLD = `delete from readings where created_at < now() - interval '1 day' or tree_version <> $1`;

/** Gives false when the id is another file's. */
export async function putReading(db: Queryable, row: ReadingRow): Promise<boolean> {
  const { rowCount } = await db.query(PUT, [
    row.id,
    row.file_name,
    row.source_digest,
    row.picture_digest,
    JSON.stringify(row.tree),
    JSON.stringify(row.findings),
    row.layer_count,
    JSON.stringify(row.assets),
    TREE_VERSION,
  ]);
  return rowCount === 1;
}

export async function getReading(db: Queryable, id: string): Promise<ReadingRow | null> {
  const { rows } = await db.query<ReadingRow>(SELECT, [id]);
  return rows[0] ?? null;
}

export async function removeReading(db: Queryable, id: string): Promise<boolean> {
  const { rowCount } = await db.query(REMOVE, [id]);
  return rowCount === 1;
}

export async function removeOldReadings(db: Queryable): Promise<void> {
  await db.query(REMOVE_OLD, [TREE_VERSION]);
}
