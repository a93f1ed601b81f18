import type { OnProgress } from '../../core/read/reading';
import type { GivenFont } from '../../core/type/fontBook';
import { createFontBook } from '../../engine/fonts/fontBook';
import { readWithPicture } from '../../engine/readWithPicture';
import { packReading, type PackedReading } from './packReading';

export interface ReadJob {
  readonly bytes: Uint8Array;
  readonly fileName: string;
  readonly fonts: readonly GivenFont[];
}

/** Reads a file with all available fonts. */
export async function readJob(
  { bytes, fileName, fonts }: ReadJob,
  onProgress: OnProgress,
): Promise<PackedReading> {
  return packReading(await readWithPicture(bytes, fileName, { book: createFontBook(), fonts, onProgress }));
}
