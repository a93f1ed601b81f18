import Joi from 'joi';
import { LRUCache } from 'lru-cache';
import { inTransaction, pool } from '../db/pool';
import { getBlob, putBlob } from '../db/tables/blobs';
import { setSmallPicture } from '../db/tables/revisions';
import { NOT_FOUND, Refusal } from '../http';
import { shrinkInWorker } from '../workers/workers';

export const pictureSchema = Joi.object<{
  /** Present for the picture on the shelf. */
  readonly small?: string;
  /** The digest of the picture that the address stands for. */
  readonly reading?: string;
}>({ small: Joi.string().allow('').max(9), reading: Joi.string().allow('').max(200) });

/** The picture of a reading as SVG. */
export async function wholePicture(digest: string): Promise<Uint8Array> {
  const svg = await getBlob(pool(), digest);
  if (!svg) throw NOT_FOUND('This picture');
  return svg;
}

/** The small pictures under way, by the digest of the whole one. */
const drawing = new LRUCache<string, Promise<Uint8Array>>({ max: 200 });

/**
 * The picture of a reading as a small WebP: the SVGs of a shelf of large mockups would block a browser for minutes.
 * It is drawn when it is first asked for, and kept.
 */
export async function smallPicture(digest: string, small: string | null): Promise<Uint8Array> {
  const kept = small === null ? null : await getBlob(pool(), small);
  if (kept) return kept;
  const ready = drawing.get(digest) ?? drawSmall(digest);
  drawing.set(digest, ready);
  try {
    return await ready;
  } finally {
    drawing.delete(digest);
  }
}

async function drawSmall(digest: string): Promise<Uint8Array> {
  const bytes = await shrinkInWorker({ svg: await wholePicture(digest) }).catch((error: unknown) => {
    // One that cannot be drawn in time is not tried again and again.
    if (error instanceof Refusal && error.status === 422) return BLANK;
    throw error;
  });
  await inTransaction(async (client) => setSmallPicture(client, digest, await putBlob(client, bytes)));
  return bytes;
}

/** A WebP of one transparent px (lossless, VP8L), in the place of a picture that takes too long. */
const BLANK = Uint8Array.from(atob('UklGRhoAAABXRUJQVlA4TA0AAAAvAAAAEAcQERGIiP4HAA=='), (letter) =>
  letter.charCodeAt(0),
);
