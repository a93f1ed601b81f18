import type { Tag } from './tag';
import type { Measures } from '../mockup/bounds';
import type { LayerKey } from '../mockup/layer';
import type { Mockup } from '../mockup/mockup';
import type { Repeat } from './repeats';
import type { Merge } from './merges';
import type { Outcome, Role, Scroll, State } from './vocabulary';

/** What a layer becomes after tags and the automatic rules. */
export interface Decision {
  readonly outcome: Outcome;
  readonly role: Role;
  /** Why, in plain words with the measured facts. */
  readonly reason: string;
  /** Why it has this role. */
  readonly roleReason: string;
  /** Who decided the outcome: a person's tag, one on a like-built sibling, the layer's own name, or the rule of that name. */
  readonly origin: 'person' | 'alike' | 'name' | RuleName;
  /** The ancestor that takes it in: it is part of that picture, or aside with it. */
  readonly within: LayerKey | null;
  readonly outputName: string;
  /** True when the name comes from a person or from the mockup, not from Orden. */
  readonly named: boolean;
  readonly classes: readonly string[];
  readonly hidden: boolean;
  /** Its place among siblings that are built alike. */
  readonly repeat: Repeat | null;
  /** The layer that it shows in a certain state, and that state. */
  readonly state: { readonly base: LayerKey; readonly state: State } | null;
  /** Its likes on other screens: furniture that they share. */
  readonly furniture: Repeat | null;
  /** The picture that it becomes with others, said of the topmost of them. */
  readonly merge: Merge | null;
  /** The name of the content that the program fills in; null for what stays. */
  readonly slot: string | null;
  /** Where it leads; null for nowhere. */
  readonly href: string | null;
  readonly scroll: Scroll | null;
  /** What was said of how it is laid out; empty where the flow finds it. */
  readonly wish: Wish;
  /** A remark for the developer. */
  readonly note: string | null;
}

/** What a person says of a layer's layout. */
export type Wish = Pick<Tag, 'contents' | 'gap' | 'wide'>;

export type RuleName = string;
export type Decisions = ReadonlyMap<LayerKey, Decision>;

/** A mockup as its tags arrange it, and what its layers become. */
export interface Decided {
  readonly mockup: Mockup;
  readonly measures: ReadonlyMap<string, Measures>;
  readonly decisions: Decisions;
}
