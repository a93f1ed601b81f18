import type { LayerTree } from '../mockup/tree';
import { labelsOf, type Labels } from './counterparts';
import { partLike } from './partLike';
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
  const labels = new Map<LayerId, Labels>();
  const labelsIn = (pattern: LayerId): Labels => {
    const known =
      labels.get(pattern) ?? labelsOf((members.get(pattern) ?? []).flatMap((id) => tree.layer(id) ?? []));
    labels.set(pattern, known);
    return known;
  };
  // One template for each part of a pattern keeps this linear in the number of tagged siblings.
  const templates = new Map<
    string,
    { readonly member: LayerId; readonly part: LayerId; readonly tag: Tag }
  >();
  for (const [id, tag] of tags) {
    for (const at of tree.lineage(id).filter((each) => repeats.has(each))) {
      const first = repeats.get(at)?.pattern ?? at;
      const common = partLike(tree, at, id, first, labelsIn(first));
      const [member, part] = common === null ? [at, id] : [first, common];
      const mark = `${member}\n${part}`;
      templates.set(mark, { member, part, tag: fillMissing(templates.get(mark)?.tag ?? {}, tag) });
    }
  }
  const spread = new Map(tags);
  for (const { member, part, tag } of templates.values()) {
    const pattern = repeats.get(member)?.pattern ?? member;
    for (const other of members.get(pattern) ?? []) {
      const alike = partLike(tree, member, part, other, labelsIn(pattern));
      if (alike !== null && has(alike)) spread.set(alike, fillMissing(spread.get(alike) ?? {}, tag));
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
