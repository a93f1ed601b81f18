import type { Bitmap } from '../../mockup/mockup';
import { isReadError } from '../readError';
import { shelveBitmap } from '../shelveBitmap';
import type { SvgContext } from './context';
import { readDataUri } from './dataUri';

/** Takes an embedded bitmap into the mockup. Gives null and says why when it cannot be used. */
export function takeBitmap(href: string | undefined, layer: string, context: SvgContext): Bitmap | null {
  const data = readDataUri(href ?? '');
  if (!data) {
    const target = (href ?? '').slice(0, 80);
    if (href && !href.startsWith('data:')) {
      context.report('outside-reference', layer, { what: 'The picture', target });
    } else {
      context.report('bitmap-broken', layer, { why: 'its data address is malformed' });
    }
    return null;
  }
  try {
    const bitmap = shelveBitmap(data.bytes, context);
    if (!bitmap)
      context.report('bitmap-broken', layer, { why: 'it is neither PNG, JPEG, WebP, GIF nor SVG' });
    return bitmap;
  } catch (error) {
    if (!isReadError(error)) throw error;
    // One picture of many is left out, and the mockup is read.
    context.report('bitmap-broken', layer, { why: 'it has more megapixels than Orden draws' });
    return null;
  }
}
