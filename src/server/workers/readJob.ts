import type { OnProgress } from '../../core/read/reading';
import type { GivenFont } from '../../core/type/fontBook';
import { createFontBook } from '../../engine/fonts/fontBook';
import { readWithPicture, type ReadWithPicture } from '../../engine/readWithPicture';

export interface ReadJob {
  readonly bytes: Uint8Array;
  readonly fileName: string;
  readonly fonts: readonly GivenFont[];
}

/** Reads a file with all available fonts. */
export function readJob(
  { bytes, fileName, fonts }: ReadJob,
  onProgress: OnProgress,
): Promise<ReadWithPicture> {
  return readWithPicture(bytes, fileName, { book: createFontBook(), fonts, onProgress });
}
