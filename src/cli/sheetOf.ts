import { screenSvg } from '../core/pictures/standaloneSvg';
import { gunzipBounded } from '../core/read/unpack';
import { dataUri } from '../engine/pictures/renderPicture';
import { outlinerOf } from '../engine/produce';
import type { ProofInput } from '../engine/proof/proof';
import type { ConvertedFile } from './convertFile';

/** How the mockup looks: an SVG as it was given, of other files a drawing of what was read. */
export function sheetOf({ bytes, reading }: ConvertedFile): ProofInput['sheet'] {
  const { mockup, assets, book } = reading;
  const [whole] = mockup.screens;
  const { width, height } = whole ?? { width: 0, height: 0 };
  if (mockup.format === 'svg' || !whole) {
    const packed = bytes[0] === 0x1f && bytes[1] === 0x8b;
    return { svg: packed ? gunzipBounded(bytes) : bytes, width, height };
  }
  const bitmapAddress = (name: string) => dataUri(name, mockup, assets);
  const svg = screenSvg(whole, { mockup, outliner: outlinerOf(book), bitmapAddress });
  return { svg: new TextEncoder().encode(svg), width, height };
}
