import type { Look } from '../look/look';
import type { Layout, PageNode, Standing, StateLook } from '../page/node';

/** A class: a look, and where boxes may grow, how it lays out what is inside and how it stands itself. */
export interface StyleClass {
  readonly name: string;
  readonly look: Look;
  readonly layout: Layout | null;
  /** The ways in which those that wear the class stand. */
  readonly standings: readonly StandingCount[];
  readonly states: readonly StateLook[];
  /** What it is on the narrow screen of a page for two; null where it is the same. */
  readonly narrow: Pick<StyleClass, 'look' | 'layout' | 'standings'> | null;
}

/** How some of those that wear a class stand; null where their content alone says it, or coordinates of their own do. */
export interface StandingCount {
  readonly standing: Standing | null;
  readonly count: number;
}

export interface StyleSheet {
  readonly classes: readonly StyleClass[];
  /** The class of letters inside a text; null for what looks like the text itself. */
  readonly classFor: (look: Look) => string | null;
  /** The classes of the nodes that states are told by; see `StateLook.within`. */
  readonly classesWithin: (within: string) => readonly string[];
  /** The class of a node; null when it has nothing to say. */
  readonly classOf: (node: PageNode) => StyleClass | null;
}
