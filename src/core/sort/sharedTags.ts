import type { LayerTree } from '../mockup/tree';
import type { LayerId } from '../mockup/layer';
import type { Repeats } from './repeats';
import { SHARED_FACETS } from './facets/facets';
import type { Tag, Tags } from './tag';

/**
 * Shares tags among like-built siblings: the tag of one member, or of a part of it, holds for the same part
 * of the others, except where other tags are set. Of several different tags the first one counts.
 */
export function shareTags(
  repeats: Repeats,
  tags: Tags,
  tree: LayerTree,
  has: (id: LayerId) => boolean,
): Tags {
  if (tags.size === 0 || repeats.size === 0) return tags;
  const members = membersOf(repeats);
  // One template for each part of a pattern keeps this linear in the number of tagged siblings.
  const templates = new Map<string, { readonly pattern: LayerId; readonly way: string; readonly tag: Tag }>();
  for (const [id, tag] of tags) {
    for (const at of tree.lineage(id).filter((each) => repeats.has(each))) {
      const way = tree.wayFrom(at, id);
      const pattern = repeats.get(at)?.pattern ?? at;
      const mark = `${pattern}\n${way}`;
      templates.set(mark, { pattern, way, tag: fillMissing(templates.get(mark)?.tag ?? {}, tag) });
    }
  }
  const spread = new Map(tags);
  for (const { pattern, way, tag } of templates.values()) {
    for (const member of members.get(pattern) ?? []) {
      const other = tree.follow(member, way);
      if (other !== undefined && has(other)) spread.set(other, fillMissing(spread.get(other) ?? {}, tag));
    }
  }
  return spread;
}

function membersOf(repeats: Repeats): ReadonlyMap<LayerId, readonly LayerId[]> {
  const members = new Map<LayerId, LayerId[]>();
  for (const [key, { pattern }] of repeats) {
    const known = members.get(pattern);
    if (known) known.push(key);
    else members.set(pattern, [key]);
  }
  return members;
}

function fillMissing(own: Tag, from: Tag): Tag {
  const missing = SHARED_FACETS.filter((facet) => own[facet] === undefined && from[facet] !== undefined);
  return missing.length === 0
    ? own
    : { ...own, ...Object.fromEntries(missing.map((facet) => [facet, from[facet]])) };
}
