import { imageSize } from 'image-size';
import type { Bitmap, BitmapType } from '../mockup/mockup';
import { LIMITS } from './limits';
import { ReadError } from './readError';

/** File types by signature; a wrong label does not matter. */
const TYPES: Readonly<Record<string, BitmapType>> = {
  png: 'image/png',
  jpg: 'image/jpeg',
  webp: 'image/webp',
  gif: 'image/gif',
  svg: 'image/svg+xml',
};

/** The store of a reading's bitmaps: descriptions, and bytes under the same names. */
export interface BitmapShelf {
  readonly bitmaps: Map<string, Bitmap>;
  readonly assets: Map<string, Uint8Array>;
}

/**
 * Takes a bitmap into the mockup, equal bytes once; null when the bytes are no picture that browsers show.
 * @throws ReadError for a bitmap that is too large, or one too many
 */
export function shelveBitmap(bytes: Uint8Array, { bitmaps, assets }: BitmapShelf): Bitmap | null {
  const size = measureBitmap(bytes);
  if (!size) return null;
  for (const [id, known] of assets) {
    const bitmap = bitmaps.get(id);
    if (bitmap && sameBytes(known, bytes)) return bitmap;
  }
  if (size.type !== 'image/svg+xml') checkPixels(size, bitmaps);
  const bitmap: Bitmap = { id: `bitmap-${bitmaps.size + 1}`, ...size };
  bitmaps.set(bitmap.id, bitmap);
  assets.set(bitmap.id, bytes);
  return bitmap;
}

function checkPixels(size: Omit<Bitmap, 'id'>, bitmaps: BitmapShelf['bitmaps']): void {
  const own = size.width * size.height;
  if (own > LIMITS.bitmapPixels) refusePixels('One picture of the mockup has', LIMITS.bitmapPixels);
  const all = [...bitmaps.values()].reduce(
    (sum, { type, width, height }) => (type === 'image/svg+xml' ? sum : sum + width * height),
    own,
  );
  if (all > LIMITS.pixels) refusePixels('The pictures of the mockup have together', LIMITS.pixels);
}

function refusePixels(what: string, limit: number): never {
  throw new ReadError('too-many-pixels', { what, limit: limit / 1_000_000 });
}

/** Type and natural size in px, upright; null when the bytes are no picture. */
export function measureBitmap(bytes: Uint8Array): Omit<Bitmap, 'id'> | null {
  try {
    const { width, height, type, orientation = 1 } = imageSize(bytes);
    const known = TYPES[type ?? ''];
    if (!known || !(width > 0) || !(height > 0)) return null;
    // EXIF orientations 5–8 lie on their side.
    return orientation >= 5 ? { type: known, width: height, height: width } : { type: known, width, height };
  } catch {
    return null;
  }
}

function sameBytes(one: Uint8Array, other: Uint8Array): boolean {
  return one.length === other.length && one.every((byte, at) => byte === other[at]);
}
