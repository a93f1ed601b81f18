import type { GivenFont } from '../../core/type/fontBook';
import { readFontFile } from '../../engine/fonts/readFontFile';

export interface FontJob {
  readonly bytes: Uint8Array;
}

/** What a font file says of its face; the problem of one that cannot be read. */
export type FontOutput =
  { readonly face: Pick<GivenFont, 'family' | 'weight' | 'italic'> } | { readonly problem: string };

/** Reads an uploaded font file. A damaged one may never end, so a worker does it. */
export function fontJob({ bytes }: FontJob): FontOutput {
  try {
    const { family, weight, italic } = readFontFile(bytes);
    return { face: { family, weight, italic } };
  } catch (error) {
    return { problem: error instanceof Error ? error.message : String(error) };
  }
}
