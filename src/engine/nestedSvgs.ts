import type { Report } from '../core/findings/finding';
import type { BitmapLayer } from '../core/mockup/layer';
import type { Assets, Bitmap, Mockup } from '../core/mockup/mockup';
import { layersOf } from '../core/mockup/walk';
import { screenSvg } from '../core/pictures/standaloneSvg';
import { read } from '../core/read/read';
import { ReadError } from '../core/read/readError';
import type { FontBook } from '../core/type/fontBook';
import { dataUri } from './pictures/renderPicture';
import { outlinerOf } from './outliner';

/** The deepest nesting of SVGs in SVGs. */
const DEEPEST = 4;

/**
 * Bitmaps that are SVGs are read as mockups and written anew: they contain no scripts, no outside references
 * and no unbounded structures, and need no fonts. Gives the mockup's assets with the new files.
 */
export function sanitizeNestedSvgs(
  mockup: Mockup,
  assets: Assets,
  book: FontBook,
  report: Report,
  depth = 1,
): Assets {
  const nested = Object.values(mockup.bitmaps).filter(({ type }) => type === 'image/svg+xml');
  if (nested.length === 0) return assets;
  const layers = layersOf(mockup).filter((layer): layer is BitmapLayer => layer.kind === 'bitmap');
  const settled = new Map(assets);
  for (const bitmap of nested) {
    const user = layers.find((layer) => layer.bitmap === bitmap.id)?.id ?? null;
    const svg = sanitize(bitmap, assets, book, (code, _, data) => report(code, user, data), depth);
    settled.set(bitmap.id, new TextEncoder().encode(svg));
  }
  return settled;
}

function sanitize(bitmap: Bitmap, given: Assets, fonts: FontBook, report: Report, depth: number): string {
  const empty = `<svg xmlns="http://www.w3.org/2000/svg" width="${bitmap.width}" height="${bitmap.height}"/>`;
  if (depth > DEEPEST) {
    report('too-deep', null, { limit: DEEPEST });
    return empty;
  }
  try {
    const reading = read(given.get(bitmap.id) ?? new Uint8Array(), 'picture.svg', fonts);
    const { mockup, findings, book } = reading;
    for (const { code, data } of findings) report(code, null, data);
    const assets = sanitizeNestedSvgs(mockup, reading.assets, book, report, depth + 1);
    const [screen] = mockup.screens;
    if (!screen) return empty;
    return screenSvg(screen, {
      mockup,
      outliner: outlinerOf(book),
      bitmapAddress: (name) => dataUri(name, mockup, assets),
      decimals: 5,
    });
  } catch (error) {
    if (!(error instanceof ReadError)) throw error;
    if (error.code !== 'nothing-drawn') report('bitmap-broken', null, { why: error.message });
    return empty;
  }
}
