import { digestOf } from '../../../engine/digest';
import type { Queryable } from '../pool';

const INSERT = 'insert into blobs (digest, bytes) values ($1, $2) on conflict (digest) do nothing';
const SELECT = 'select bytes from blobs where digest = $1';

/** Keeps the bytes once and gives their digest. */
export async function putBlob(db: Queryable, bytes: Uint8Array): Promise<string> {
  const digest = digestOf(bytes);
  await db.query(INSERT, [digest, Buffer.from(bytes)]);
  return digest;
}

export async function getBlob(db: Queryable, digest: string): Promise<Uint8Array | null> {
  const { rows } = await db.query<{ bytes: Buffer }>(SELECT, [digest]);
  return rows[0]?.bytes ?? null;
}
