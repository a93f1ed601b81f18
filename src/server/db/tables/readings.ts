import type { Finding } from '../../../core/findings/finding';
import type { LayerId } from '../../../core/mockup/layer';
import { TREE_VERSION } from '../../../core/mockup/mockup';
import type { Queryable } from '../pool';

/** A reading on the way to the shelf, without its tree. */
export interface ReadingRow {
  readonly id: string;
  readonly file_name: string;
  readonly source_digest: string;
  readonly picture_digest: string;
  readonly findings: readonly Finding[];
  readonly layer_count: number;
  readonly layer_ids: readonly LayerId[];
  readonly assets: Readonly<Record<string, string>>;
}

/** A reading with its tree and report as stored text, and what the tree says of the mockup. */
export interface WholeReadingRow extends ReadingRow {
  readonly tree: string;
  readonly report: string;
  readonly name: string;
  readonly format: string;
}

const PUT = `
  insert into readings
    (id, file_name, source_digest, picture_digest, tree, findings, layer_count, layer_ids, assets, report, tree_version)
  values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)
  on conflict (id) do update set picture_digest = excluded.picture_digest, tree = excluded.tree,
    findings = excluded.findings, layer_count = excluded.layer_count, layer_ids = excluded.layer_ids,
    assets = excluded.assets, report = excluded.report, tree_version = excluded.tree_version
    where readings.source_digest = excluded.source_digest`;
const COLUMNS = 'id, file_name, source_digest, picture_digest, findings, layer_count, layer_ids, assets';
const SELECT = `select ${COLUMNS} from readings where id = $1`;
const SELECT_WHOLE = `
  select ${COLUMNS}, tree::text, report::text, tree ->> 'name' as name, tree ->> 'format' as format
    from readings where id = $1`;
const REMOVE = 'delete from readings where id = $1';
/** Removes readings that were never put on the shelf, and those with an outdated tree. */
const REMOVE_OLD = `delete from readings where created_at < now() - interval '1 day' or tree_version <> $1`;

/** Gives false when the id is another file's. */
export async function putReading(
  db: Queryable,
  row: Omit<WholeReadingRow, 'name' | 'format'>,
): Promise<boolean> {
  const { rowCount } = await db.query(PUT, [
    row.id,
    row.file_name,
    row.source_digest,
    row.picture_digest,
    row.tree,
    JSON.stringify(row.findings),
    row.layer_count,
    row.layer_ids,
    JSON.stringify(row.assets),
    row.report,
    TREE_VERSION,
  ]);
  return rowCount === 1;
}

export async function getReading(db: Queryable, id: string): Promise<ReadingRow | null> {
  const { rows } = await db.query<ReadingRow>(SELECT, [id]);
  return rows[0] ?? null;
}

export async function getWholeReading(db: Queryable, id: string): Promise<WholeReadingRow | null> {
  const { rows } = await db.query<WholeReadingRow>(SELECT_WHOLE, [id]);
  return rows[0] ?? null;
}

export async function removeReading(db: Queryable, id: string): Promise<boolean> {
  const { rowCount } = await db.query(REMOVE, [id]);
  return rowCount === 1;
}

export async function removeOldReadings(db: Queryable): Promise<void> {
  await db.query(REMOVE_OLD, [TREE_VERSION]);
}
