import type { ReadResult } from '../core/read/reading';
import { readMockup, type ReadOptions } from './readMockup';
import { sheetSvg } from './sheetSvg';

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
  const { book: _, ...plain } = result;
  return { ...plain, picture: sheetSvg(result) };
}
