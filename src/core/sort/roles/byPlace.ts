import type { RoleRule } from './roleRule';

/** The page's furniture stands at its edges. */
export const byPlace: RoleRule = (layer, outcome, { places }) =>
  outcome === 'element' ? (places.get(layer.key) ?? null) : null;
