import equal from 'fast-deep-equal';
import type { LayerId } from '../mockup/layer';
import type { Facet, FacetValue } from './facets/facets';
import type { Tag, Tags } from './tag';

/** One facet of one layer before and after an edit; null means untagged. */
export interface Change {
  readonly layer: LayerId;
  readonly facet: Facet;
  readonly before: FacetValue | null;
  readonly after: FacetValue | null;
}

/** The inverse of an edit. */
export function reverse(changes: readonly Change[]): Change[] {
  return changes
    .map(({ before, after, ...change }) => ({ ...change, before: after, after: before }))
    .reverse();
}

/** The tags after the changes. The given tags stay unchanged, and are returned when nothing differs. */
export function applyChanges(
  tags: Tags,
  changes: readonly Pick<Change, 'layer' | 'facet' | 'after'>[],
): Tags {
  // Of several changes of one facet the last one counts, also when it restores the old value.
  const last = new Map(changes.map((change) => [`${change.facet} ${change.layer}`, change]));
  const news = [...last.values()].filter(
    ({ layer, facet, after }) => !equal(tags.get(layer)?.[facet] ?? null, after),
  );
  if (news.length === 0) return tags;
  const next = new Map(tags);
  for (const { layer, facet, after } of news) {
    const { [facet]: _, ...others } = next.get(layer) ?? {};
    const tag: Tag = after === null ? others : { ...others, [facet]: after };
    if (Object.values(tag).some((value) => value !== undefined)) next.set(layer, tag);
    else next.delete(layer);
  }
  return next;
}
