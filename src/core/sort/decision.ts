import type { Measures } from '../mockup/bounds';
import type { LayerId } from '../mockup/layer';
import type { Mockup } from '../mockup/mockup';
import type { Aligned } from './facets/align';
import type { Holds } from './facets/holds';
import type { PictureContents } from './facets/pictureContents';
import type { Repeat } from './repeats';
import type { Merge } from './merges';
import type { Contents, InputType, Outcome, PartWidth, Role, Scroll, State } from './vocabulary';

/** What a layer becomes after tags and the automatic rules. */
export interface Decision {
  readonly outcome: Outcome;
  readonly role: Role;
  /** The reason in plain words, with the measured facts. */
  readonly reason: string;
  /** True when a person or the layer's name said its role. */
  readonly roleSaid: boolean;
  /** The reason for its role. */
  readonly roleReason: string;
  /**
   * The origin of the outcome: a person's tag, one on a like-built sibling, the layer's own name, or the name
   * of the rule.
   */
  readonly origin: 'person' | 'alike' | 'name' | RuleName;
  /** The ancestor that absorbs it: the layer is part of that picture, or aside with it. */
  readonly within: LayerId | null;
  readonly outputName: string;
  /** True when the name comes from a person or the mockup. */
  readonly named: boolean;
  /** True when a person gave the name: then it is in the code, whatever the element is. */
  readonly nameSaid: boolean;
  readonly classes: readonly string[];
  /** The class name that a person gave to its look; null for an automatic one. */
  readonly lookName: string | null;
  /** The name of a class that its look has apart from equal looks; null to share one. */
  readonly ownClass: string | null;
  /** The layer whose look it takes; null for its own look. */
  readonly looksLike: LayerId | null;
  /** What its class holds, for a sample; null for the look alone. */
  readonly holds: Holds | null;
  readonly hidden: boolean;
  /** Its index among like-built siblings. */
  readonly repeat: Repeat | null;
  /** The base layer that it shows in a state, and that state. */
  readonly state: { readonly base: LayerId; readonly state: State } | null;
  /** Its counterparts on other screens: furniture that they share. */
  readonly furniture: Repeat | null;
  /** The picture that it forms with other layers; set on the topmost of them. */
  readonly merge: Merge | null;
  /** The field that the text labels; null for none. */
  readonly labelFor: LayerId | null;
  /** The name of the field that a person said it labels; null for none. */
  readonly labels: string | null;
  /** What is typed into the field, by a person; null for what its words tell. */
  readonly inputType: InputType | null;
  /** The name of the content that the program fills in; null for fixed content. */
  readonly slot: string | null;
  /** The target of its link; null for none. */
  readonly href: string | null;
  readonly scroll: Scroll | null;
  /** The person's layout overrides; empty where the flow decides. */
  readonly layoutOverride: LayoutOverride;
  /** The alternative text of its picture; empty for decoration, null for an automatic one. */
  readonly alternative: string | null;
  /** The recipes of its picture; null for an automatic one. */
  readonly recipes: readonly string[] | null;
  /** What a person said of the picture's box and contents; empty where Orden decides. */
  readonly pictureOverride: PictureOverride;
  /** What of it is moved to whole px; null for nothing. */
  readonly align: Aligned | null;
  /** A note for the developer. */
  readonly note: string | null;
}

/** The facets of a tag that shape a picture. */
export interface PictureOverride {
  readonly box?: string;
  readonly ground?: string;
  readonly contents?: PictureContents;
}

/** The layout facets of a tag. */
export interface LayoutOverride {
  readonly contents?: Contents;
  readonly gap?: number;
  readonly width?: PartWidth;
}

export type RuleName = string;
export type Decisions = ReadonlyMap<LayerId, Decision>;

/** A mockup after structural tags, with its measures and decisions. */
export interface Decided {
  readonly mockup: Mockup;
  readonly measures: ReadonlyMap<string, Measures>;
  readonly decisions: Decisions;
}
