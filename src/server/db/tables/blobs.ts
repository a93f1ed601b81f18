import { LRUCache } from 'lru-cache';
import { digestOf } from '../../../engine/digest';
import type { Queryable } from '../pool';

const INSERT = 'insert into blobs (digest, bytes) values ($1, $2) on conflict (digest) do nothing';
const SELECT = 'select bytes from blobs where digest = $1';

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

export async function getBlob(db: Queryable, digest: string): Promise<Uint8Array | null> {
  const ready = recent.get(digest);
  if (ready) return ready;
  const { rows } = await db.query<{ bytes: Buffer }>(SELECT, [digest]);
  const bytes = rows[0]?.bytes ?? null;
  if (bytes) recent.set(digest, bytes);
  return bytes;
}
