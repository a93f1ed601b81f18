import type { ReadResult } from '../core/read/reading';
import { screenSvg } from '../core/pictures/standaloneSvg';
import { dataUri } from './pictures/renderPicture';
import { readMockup, type ReadOptions } from './readMockup';
import { outlinerOf } from './produce';

export interface ReadWithPicture extends ReadResult {
  /** The first screen as a standalone SVG, its texts outlined: how the mockup looks, safe to show. */
  readonly picture: string;
}

/** Reads a mockup and draws how it looks, from what was read and nothing else. */
export async function readWithPicture(
  bytes: Uint8Array,
  fileName: string,
  options: ReadOptions,
): Promise<ReadWithPicture> {
  const result = await readMockup(bytes, fileName, options);
  const { mockup, assets } = result;
  const [screen] = mockup.screens;
  const drawing = {
    mockup,
    outliner: outlinerOf(result.book),
    bitmapAddress: (name: string) => dataUri(name, mockup, assets),
  };
  const { book: _, ...plain } = result;
  return { ...plain, picture: screen ? screenSvg(screen, drawing) : '' };
}
