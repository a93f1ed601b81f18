import type { Finding } from '../findings/finding';
import type { LayerId } from '../mockup/layer';
import type { Assets, Mockup } from '../mockup/mockup';
import type { FontBook } from '../type/fontBook';

/** Told how many of the layers are read. */
export type OnProgress = (done: number, total: number) => void;

export interface ReadResult {
  readonly mockup: Mockup;
  readonly assets: Assets;
  readonly findings: readonly Finding[];
  /** Compositions that CSS has not: to be drawn into one bitmap before anything else is done with the mockup. */
  readonly bakes: readonly Bake[];
  /** The merged picture that the drawing program saved, if there is one: a reference for the reading. */
  readonly merged: Uint8Array | null;
}

/** A layer that is composed with all that lies beneath it in its group, by an operator that CSS has not. */
export interface Bake {
  readonly group: LayerId;
  readonly layer: LayerId;
  readonly operator: BakedOperator;
}

export type BakedOperator = 'dst-in' | 'dst-out' | 'src-atop' | 'dst-atop';

/** A reading together with the fonts that it was measured with, those inside the mockup first. */
export interface Reading extends ReadResult {
  readonly book: FontBook;
}
