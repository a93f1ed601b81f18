import type { LayerId } from '../../mockup/layer';
import type { Outcome } from '../vocabulary';

export interface Surroundings {
  readonly within: { readonly key: LayerId; readonly outcome: Exclude<Outcome, 'element'> } | null;
  /** The elements around the layer, outermost first. */
  readonly elements: readonly string[];
  readonly inFurniture: boolean;
  /** True inside of a scroll area. */
  readonly inScroll: boolean;
  /** The output name of the nearest group that has a name. */
  readonly nearestName?: string;
  /** True for a version that is decided on as if it were shown. */
  readonly asShown?: boolean;
}

export const ROOT_SURROUNDINGS: Surroundings = {
  within: null,
  elements: [],
  inFurniture: false,
  inScroll: false,
};
