import type { Layer } from '../../mockup/layer';
import type { Facts } from '../facts';
import type { Outcome, Role, State } from '../vocabulary';

export interface RoleVerdict {
  readonly role: Role;
  readonly reason: string;
}

/** The elements around a layer. */
export interface RoleSurroundings {
  /** The element of the group around, `main` for none. */
  readonly parent: string;
  /** All elements around, outermost first. */
  readonly elements: readonly string[];
  /** The states of the layer, when it is the control that has them. */
  readonly states: readonly State[];
  /** True inside the page's header, footer or navigation. */
  readonly inFurniture: boolean;
}

/** Proposes the semantic role of a layer; null when the rule does not apply. */
export type RoleRule = (
  layer: Layer,
  outcome: Outcome,
  facts: Facts,
  around: RoleSurroundings,
) => RoleVerdict | null;
