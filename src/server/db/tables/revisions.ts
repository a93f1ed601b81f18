import type { Finding } from '../../../core/findings/finding';
import type { LayerId } from '../../../core/mockup/layer';
import { TREE_VERSION } from '../../../core/mockup/mockup';
import type { Queryable } from '../pool';

/** Why a file was read: it is new, fonts were added, or a later Orden reads more of it. */
export type RevisionCause = 'file' | 'fonts' | 'update';

export interface NewRevision {
  readonly cause: RevisionCause;
  readonly mockupId: string;
  readonly fileName: string;
  readonly sourceDigest: string;
  readonly pictureDigest: string;
  /** The `Mockup` as JSON. */
  readonly tree: string;
  readonly findings: readonly Finding[];
  readonly layerCount: number;
  readonly layerIds: readonly LayerId[];
}

/** A revision without its tree. */
export interface RevisionRow {
  readonly id: string;
  readonly number: number;
  readonly file_name: string;
  readonly picture_digest: string;
  /** Null until the small picture was drawn. */
  readonly small_digest: string | null;
  readonly source_digest: string;
  readonly findings: Finding[];
  readonly layer_count: number;
}

/** A revision whose tree is text, as stored. */
export interface RevisionTextRow extends RevisionRow {
  readonly tree: string;
}

const COLUMNS = 'id, number, file_name, picture_digest, small_digest, source_digest, findings, layer_count';
const INSERT = `
  insert into revisions
    (mockup_id, number, file_name, source_digest, picture_digest, tree, findings, layer_count, layer_ids, tree_version, cause)
  values ($1, (select coalesce(max(number), 0) + 1 from revisions where mockup_id = $1), $2, $3, $4, $5, $6, $7, $8, $9, $10)
  returning id`;
const INSERT_ASSET = 'insert into revision_assets (revision_id, name, digest) values ($1, $2, $3)';
const NEWEST = `select ${COLUMNS} from revisions where mockup_id = $1 order by number desc limit 1`;
const NEWEST_TEXT = `
  select ${COLUMNS}, tree::text from revisions where mockup_id = $1 order by number desc limit 1`;
const BY_ID = `select ${COLUMNS} from revisions where id = $1`;
const TREE = 'select tree::text from revisions where id = $1';
const SET_SMALL = 'update revisions set small_digest = $2 where picture_digest = $1';
const UNKNOWN_LAYERS = `
  select id from unnest($2::text[]) as given(id)
  except
  select unnest(layer_ids) from revisions where mockup_id = $1`;
const OUTDATED = `
  select r.mockup_id, m.project_id, r.file_name, r.source_digest
    from revisions r join mockups m on m.id = r.mockup_id
   where r.tree_version <> $1
     and r.number = (select max(number) from revisions where mockup_id = r.mockup_id)
   order by r.created_at`;
const ASSETS = `
  select a.name, b.bytes from revision_assets a join blobs b on b.digest = a.digest where a.revision_id = $1`;

export async function insertRevision(db: Queryable, revision: NewRevision): Promise<string> {
  const { mockupId, fileName, sourceDigest, pictureDigest, tree, findings, layerCount, layerIds, cause } =
    revision;
  const values = [
    mockupId,
    fileName,
    sourceDigest,
    pictureDigest,
    tree,
    JSON.stringify(findings),
    layerCount,
    layerIds,
    TREE_VERSION,
    cause,
  ];
  const { rows } = await db.query<{ id: string }>(INSERT, values);
  return rows[0]!.id;
}

export async function insertAsset(
  db: Queryable,
  revisionId: string,
  name: string,
  digest: string,
): Promise<void> {
  await db.query(INSERT_ASSET, [revisionId, name, digest]);
}

export async function newestRevision(db: Queryable, mockupId: string): Promise<RevisionRow | null> {
  const { rows } = await db.query<RevisionRow>(NEWEST, [mockupId]);
  return rows[0] ?? null;
}

/** The newest revision with its tree as stored text. */
export async function newestRevisionText(db: Queryable, mockupId: string): Promise<RevisionTextRow | null> {
  const { rows } = await db.query<RevisionTextRow>(NEWEST_TEXT, [mockupId]);
  return rows[0] ?? null;
}

export async function getRevision(db: Queryable, id: string): Promise<RevisionRow | null> {
  const { rows } = await db.query<RevisionRow>(BY_ID, [id]);
  return rows[0] ?? null;
}

/** The tree of a revision as stored text. */
export async function revisionTree(db: Queryable, id: string): Promise<string | null> {
  const { rows } = await db.query<{ tree: string }>(TREE, [id]);
  return rows[0]?.tree ?? null;
}

/** Records the small picture of all revisions with that picture. */
export async function setSmallPicture(db: Queryable, picture: string, small: string): Promise<void> {
  await db.query(SET_SMALL, [picture, small]);
}

/** Those of the given ids that no revision of the mockup has. */
export async function unknownLayers(
  db: Queryable,
  mockupId: string,
  ids: readonly LayerId[],
): Promise<readonly LayerId[]> {
  const { rows } = await db.query<{ id: LayerId }>(UNKNOWN_LAYERS, [mockupId, ids]);
  return rows.map(({ id }) => id);
}

export async function revisionAssets(
  db: Queryable,
  revisionId: string,
): Promise<ReadonlyMap<string, Uint8Array>> {
  const { rows } = await db.query<{ name: string; bytes: Buffer }>(ASSETS, [revisionId]);
  return new Map(rows.map((row) => [row.name, new Uint8Array(row.bytes)]));
}

export interface OutdatedRow {
  readonly mockup_id: string;
  readonly project_id: string;
  readonly file_name: string;
  readonly source_digest: string;
}

/** The newest revisions whose tree has an outdated shape. */
export async function outdatedRevisions(db: Queryable): Promise<readonly OutdatedRow[]> {
  const { rows } = await db.query<OutdatedRow>(OUTDATED, [TREE_VERSION]);
  return rows;
}
