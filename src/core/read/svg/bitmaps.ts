import { imageSize } from 'image-size';
import type { Bitmap, BitmapType } from '../../mockup/mockup';
import { readDataUri } from './dataUri';
import type { SvgContext } from './context';

/** File types by what the bytes say; a wrong label in the address does not matter. */
const TYPES: Readonly<Record<string, BitmapType>> = {
  png: 'image/png',
  jpg: 'image/jpeg',
  webp: 'image/webp',
  gif: 'image/gif',
  svg: 'image/svg+xml',
};

/** Takes an embedded bitmap into the mockup, the same bytes once. Gives null and says why when it cannot be used. */
export function takeBitmap(href: string | undefined, layer: string, context: SvgContext): Bitmap | null {
  const data = readDataUri(href ?? '');
  if (!data) {
    const target = (href ?? '').slice(0, 80);
    if (href && !href.startsWith('data:'))
      context.report('outside-reference', layer, { what: 'The picture', target });
    else context.report('bitmap-broken', layer, { why: 'its data address is malformed' });
    return null;
  }
  const size = measure(data.bytes);
  if (!size) {
    context.report('bitmap-broken', layer, { why: 'it is neither PNG, JPEG, WebP, GIF nor SVG' });
    return null;
  }
  for (const [id, known] of context.assets) {
    const bitmap = context.bitmaps.get(id);
    if (bitmap && sameBytes(known, data.bytes)) return bitmap;
  }
  const bitmap: Bitmap = { id: `bitmap-${context.bitmaps.size + 1}`, ...size };
  context.bitmaps.set(bitmap.id, bitmap);
  context.assets.set(bitmap.id, data.bytes);
  return bitmap;
}

function measure(bytes: Uint8Array): Omit<Bitmap, 'id'> | null {
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
