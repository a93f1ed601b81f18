import { LRUCache } from 'lru-cache';
import { digestOf } from '../../../engine/digest';
import type { Queryable } from '../pool';

const INSERT = 'insert into blobs (digest, bytes) values ($1, $2) on conflict (digest) do nothing';
const SELECT = 'select bytes from blobs where digest = $1';

/** Waits for all that store blobs at the moment, and lets nobody else do so until the transaction ends. */
const HOLD = 'lock table blobs in share row exclusive mode';
const REMOVE_UNUSED = `
  delete from blobs b where digest not in (
    select source_digest from revisions union all select picture_digest from revisions
    union all select small_digest from revisions where small_digest is not null
    union all select digest from revision_assets
    union all select source_digest from readings union all select picture_digest from readings
    union all select value from readings, jsonb_each_text(assets)
    union all select digest from fonts
    union all select digest from build_files
    union all select record_digest from builds where record_digest is not null
    union all select digest from proof_pictures)`;

/**
 * Blobs never change, and a new one is read next: a picture of megabytes takes the database a tenth of a
 * second.
 */
const recent = new LRUCache<string, Uint8Array>({
  maxSize: 64 * 1024 * 1024,
  sizeCalculation: (bytes) => Math.max(1, bytes.length),
});

/** Stores the bytes once and gives their digest. */
export async function putBlob(db: Queryable, bytes: Uint8Array): Promise<string> {
  const digest = digestOf(bytes);
  await db.query(INSERT, [digest, Buffer.from(bytes)]);
  recent.set(digest, bytes);
  return digest;
}

/**
 * Keeps others from storing blobs until the transaction ends: a blob that is stored and not yet referred to
 * would be removed as unused. To be called before rows are locked, so that nobody waits in a circle.
 */
export async function holdBlobs(db: Queryable): Promise<void> {
  await db.query(HOLD);
}

/** Removes the blobs that nothing refers to, after `holdBlobs`; gives their number. */
export async function removeUnusedBlobs(db: Queryable): Promise<number> {
  const { rowCount } = await db.query(REMOVE_UNUSED);
  recent.clear();
  return rowCount ?? 0;
}

export async function getBlob(db: Queryable, digest: string): Promise<Uint8Array | null> {
  const ready = recent.get(digest);
  if (ready) return ready;
  const { rows } = await db.query<{ bytes: Buffer }>(SELECT, [digest]);
  const bytes = rows[0]?.bytes ?? null;
  if (bytes) recent.set(digest, bytes);
  return bytes;
}
