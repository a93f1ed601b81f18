import { screenSvg } from '../core/pictures/standaloneSvg';
import type { Reading } from '../core/read/reading';
import { dataUri } from './pictures/renderPicture';
import { outlinerOf } from './outliner';

/**
 * The picture of the whole mockup, drawn from the reading alone: an SVG with outlined texts, safe to show.
 */
export function sheetSvg({ mockup, assets, book }: Pick<Reading, 'mockup' | 'assets' | 'book'>): string {
  const [whole] = mockup.screens;
  const bitmapAddress = (name: string) => dataUri(name, mockup, assets);
  return whole ? screenSvg(whole, { mockup, outliner: outlinerOf(book), bitmapAddress }) : '';
}
