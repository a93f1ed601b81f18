import { LRUCache } from 'lru-cache';
import sharp from 'sharp';
import { pool } from '../db/pool';
import { getBlob } from '../db/tables/blobs';
import { NOT_FOUND } from '../http';

/** The picture of a reading as SVG. */
export async function wholePicture(digest: string): Promise<Uint8Array> {
  const svg = await getBlob(pool(), digest);
  if (!svg) throw NOT_FOUND('This picture');
  return svg;
}

/** Px, twice what the shelf shows: enough for dense screens. */
const [WIDTH, HEIGHT] = [384, 240];

/** By the digest of the picture. */
const drawn = new LRUCache<string, Promise<Uint8Array>>({ max: 200 });
let last: Promise<unknown> = Promise.resolve();

/**
 * The picture of a reading as a small WebP, no larger than 384 × 240 px: a shelf of mockups with thousands of layers would
 * keep a browser busy for minutes with the drawings themselves.
 */
export async function smallPicture(digest: string): Promise<Uint8Array> {
  const ready = drawn.get(digest) ?? inTurn(() => draw(digest));
  drawn.set(digest, ready);
  try {
    return await ready;
  } catch (error) {
    drawn.delete(digest);
    throw error;
  }
}

/** One after the other: a shelf asks for all at once, and reading goes on meanwhile. */
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = last.then(work, work);
  last = mine;
  return mine;
}

async function draw(digest: string): Promise<Uint8Array> {
  // Orden wrote it itself, so it may be as long as the mockup is large.
  return sharp(await wholePicture(digest), { unlimited: true, limitInputPixels: false })
    .resize(WIDTH, HEIGHT, { fit: 'inside' })
    .webp()
    .toBuffer();
}
