import Joi from 'joi';
import { LRUCache } from 'lru-cache';
import sharp from 'sharp';
import { pool } from '../db/pool';
import { getBlob } from '../db/tables/blobs';
import { NOT_FOUND } from '../http';

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

/** Px, twice the size on the shelf, for dense screens. */
const [WIDTH, HEIGHT] = [384, 240];

/** By the digest of the picture. */
const drawn = new LRUCache<string, Promise<Uint8Array>>({ max: 200 });
let last: Promise<unknown> = Promise.resolve();

/**
 * The picture of a reading as a WebP of at most 384 × 240 px: the SVGs of a shelf of large mockups would
 * block a browser for minutes.
 */
export async function smallPicture(digest: string): Promise<Uint8Array> {
  const ready = drawn.get(digest) ?? serialised(() => draw(digest));
  drawn.set(digest, ready);
  try {
    return await ready;
  } catch (error) {
    drawn.delete(digest);
    throw error;
  }
}

/** One at a time: a shelf requests all pictures at once, while readings run. */
function serialised<T>(work: () => Promise<T>): Promise<T> {
  const mine = last.then(work, work);
  last = mine;
  return mine;
}

async function draw(digest: string): Promise<Uint8Array> {
  // Orden wrote the SVG itself, so its length is not limited.
  return sharp(await wholePicture(digest), { unlimited: true, limitInputPixels: false })
    .resize(WIDTH, HEIGHT, { fit: 'inside' })
    .webp()
    .toBuffer();
}
