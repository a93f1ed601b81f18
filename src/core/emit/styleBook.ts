import type { Box } from '../mockup/box';
import type { LayerId } from '../mockup/layer';
import type { State } from '../sort/vocabulary';
import type { NearValues, Token, UsedValue } from '../style/tokens/token';

/**
 * Where the name of a class comes from: a person, a sample, its layers, Orden, or how some elements of another class
 * stand.
 */
export type NameOrigin = 'person' | 'sample' | 'layers' | 'made up' | 'place';

/** A layer that wears a class. */
export interface ClassUser {
  readonly layer: LayerId;
  /** Its name for people. */
  readonly title: string;
  readonly screen: LayerId;
  /** What it paints, px of its screen; null for nothing. */
  readonly box: Box | null;
}

/** A class of the style sheet with all that is to be seen of it. */
export interface BookClass {
  readonly name: string;
  /** What its rules begin with: the class, or what says which elements it is of, where none wears it. */
  readonly selector: string;
  readonly origin: NameOrigin;
  /** Its rules, states and themes included. */
  readonly css: string;
  readonly states: readonly State[];
  /** The layer whose tag names it; null for letters inside of texts. */
  readonly namedBy: LayerId | null;
  /** Every use, in the order of the pages. */
  readonly users: readonly ClassUser[];
}

/** The style sheet of a mockup's pages to look at. */
export interface StyleBook {
  /** The target without a style sheet that it stands for. Absent for one that has it. */
  readonly standsFor?: string;
  readonly classes: readonly BookClass[];
  readonly tokens: readonly Token[];
  /** Values that are used too seldom to have a name by themselves. */
  readonly seldom: readonly UsedValue[];
  readonly near: readonly NearValues[];
  /** The themes that are written, with the bytes that each adds. */
  readonly themes: readonly { readonly name: string; readonly bytes: number }[];
  readonly bytes: {
    /** Of the style sheet. */
    readonly sheet: number;
    /** Of one with a rule for every element. */
    readonly apart: number;
  };
}
