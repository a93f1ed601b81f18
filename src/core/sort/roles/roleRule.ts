import type { Layer } from '../../mockup/layer';
import type { Facts } from '../facts';
import type { Outcome, Role } from '../vocabulary';

export interface RoleVerdict {
  readonly role: Role;
  readonly reason: string;
}

/** What is around the layer. */
export interface RoleAround {
  /** The element of the group around, `main` for none. */
  readonly parent: string;
  /** All elements around, outermost first. */
  readonly elements: readonly string[];
  /** True inside what is the page's header, footer or navigation by its place. */
  readonly inFurniture: boolean;
}

/** Guesses the semantic element of a layer; null when it does not know. */
export type RoleRule = (
  layer: Layer,
  outcome: Outcome,
  facts: Facts,
  around: RoleAround,
) => RoleVerdict | null;
