import type { Look } from '../look/look';

/** A class and the look that it gives. */
export interface StyleClass {
  readonly name: string;
  readonly look: Look;
}

export interface StyleSheet {
  readonly classes: readonly StyleClass[];
  /** The class that gives exactly this look; null for a plain one. */
  readonly classFor: (look: Look) => string | null;
}
