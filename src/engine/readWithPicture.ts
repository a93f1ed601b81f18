import type { ReadResult } from '../core/read/reading';
import { readMockup, type ReadOptions } from './readMockup';
import { sheetSvg } from './sheetSvg';

export interface ReadWithPicture extends ReadResult {
  /** The first screen as a standalone SVG with outlined texts: a safe picture of the mockup. */
  readonly picture: string;
}

/** Reads a mockup and draws its picture from the reading alone. */
export async function readWithPicture(
  bytes: Uint8Array,
  fileName: string,
  options: ReadOptions,
): Promise<ReadWithPicture> {
  const result = await readMockup(bytes, fileName, options);
  const { book: _, ...plain } = result;
  return { ...plain, picture: sheetSvg(result) };
}
