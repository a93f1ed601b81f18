import type { RoleRule } from './roleRule';

/** The role of furniture at the page's edges. */
export const byPlace: RoleRule = (layer, outcome, { places }) =>
  outcome === 'element' ? (places.get(layer.id) ?? null) : null;
