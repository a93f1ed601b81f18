import type { Finding } from '../findings/finding';
import type { Assets, Mockup } from '../mockup/mockup';
import type { FontBook } from '../type/fontBook';

export interface ReadResult {
  readonly mockup: Mockup;
  readonly assets: Assets;
  readonly findings: readonly Finding[];
}

/** A reading together with the fonts that it was measured with, those inside the mockup first. */
export interface Reading extends ReadResult {
  readonly book: FontBook;
}
