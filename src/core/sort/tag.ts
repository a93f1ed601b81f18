import type { LayerId } from '../mockup/layer';
import type { FacetValues } from './facets/facets';

/** What a person says a layer should become, facet by facet. The rules decide on absent facets. */
export type Tag = Partial<FacetValues>;
export type Tags = ReadonlyMap<LayerId, Tag>;

/** Both sets of tags, facet by facet; the second wins. */
export function mergeTags(weaker: Tags, stronger: Tags): Tags {
  if (weaker.size === 0) return stronger;
  const merged = new Map(weaker);
  for (const [key, tag] of stronger) merged.set(key, { ...merged.get(key), ...tag });
  return merged;
}
