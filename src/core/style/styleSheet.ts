import type { Look } from '../look/look';
import type { Layout } from '../page/layout';
import type { PageNode, StateLook, ThemeLook } from '../page/node';
import type { StandIn } from '../type/standIns';
import type { SaidValues } from './tokens/token';
import type { SharedPlacement } from '../page/sharedPlacement';

/** A class: a look, and for boxes that may grow, their layout and placement. */
export interface StyleClass {
  readonly name: string;
  /** The classes that it stands inside of, outermost first; empty for a class that is the same everywhere. */
  readonly within: readonly string[];
  /** The name of the thing that its users are, such as `button`; null where they are none. */
  readonly thing: string | null;
  /** The name of the class that it is a version of: like siblings wear both; null for none, and for the first of them. */
  readonly lead: string | null;
  /** True for a class that a person or a sample named. */
  readonly isSaid: boolean;
  readonly look: Look;
  readonly layout: Layout | null;
  /** The placements of the nodes that use the class. */
  readonly placements: readonly PlacementCount[];
  readonly states: readonly StateLook[];
  /** The looks in themes; empty where they are the same. */
  readonly themes: readonly ThemeLook[];
  /** The narrow version on a page for two screens; null where it is the same. */
  readonly narrow: Pick<StyleClass, 'look' | 'layout' | 'placements'> | null;
}

/** A placement and its number of users; null when the content alone, or fixed coordinates, give it. */
export interface PlacementCount {
  readonly placement: SharedPlacement | null;
  readonly count: number;
}

/** The schemes of a reader's system (Media Queries 5, §11.5 prefers-color-scheme). */
export const SCHEMES = ['light', 'dark'] as const;
export type Scheme = (typeof SCHEMES)[number];
/** The theme of each scheme; absent for none. */
export type Schemes = Readonly<Partial<Record<Scheme, string>>>;

export interface StyleSheet {
  readonly classes: readonly StyleClass[];
  /** True for pages in the flow. */
  readonly flows: boolean;
  /** The themes that are written, in order. */
  readonly themes: readonly string[];
  /** Absent where no theme is shown by itself. */
  readonly schemes?: Schemes;
  /** The local faces that stand in for families that are missing here. Absent for none. */
  readonly standIns?: readonly StandIn[];
  /** What a person said of its values. */
  readonly values: SaidValues;
  /** The name of a node as a class of its element, beside that of its look; null when the look has that name. */
  readonly nameClassOf: (node: PageNode) => string | null;
  /** The class of letters inside a text; null when they look like the text itself. */
  readonly classFor: (look: Look) => string | null;
  /** The classes of the controls with that key; see `StateLook.control`. */
  readonly classesOfControl: (within: string) => readonly string[];
  /** The class of a node; null when it needs none. */
  readonly classOf: (node: PageNode) => StyleClass | null;
}
