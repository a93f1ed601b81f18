import type { StyleValue, TokenKind } from '../../look/styleValue';

/** Where a colour is used: letters, the page's background, other backgrounds, lines, or anything else. */
export type ColourPlace = 'letters' | 'ground' | 'surface' | 'line' | 'other';

/** A value with the number of declarations that use it. */
export interface UsedValue extends StyleValue {
  readonly uses: number;
  /** For colours: the uses in each place. */
  readonly places: Readonly<Partial<Record<ColourPlace, number>>>;
}

/** A value that is used again, as a custom property of the root. */
export interface Token extends UsedValue {
  /** Without the two hyphens before it. */
  readonly name: string;
}

/** Two values that are nearly one: the slip of a designer, perhaps. */
export interface NearValues {
  readonly kind: TokenKind;
  /** The one with more uses. */
  readonly kept: UsedValue;
  readonly other: UsedValue;
  /** CIEDE2000 for colours, px for lengths. */
  readonly difference: number;
}

/** What a person said about values, by `valueKey`. */
export interface SaidValues {
  /** The value that is written in the place of another one. */
  readonly merged: ReadonlyMap<string, string>;
  /** The names of tokens; a value with a name is a token even if it is used once. */
  readonly names: ReadonlyMap<string, string>;
}

export const NOTHING_SAID: SaidValues = { merged: new Map(), names: new Map() };
