import type { LayerKey } from '../mockup/layer';
import type { Repeats } from './repeats';
import { SHARED_FACETS } from './facets/facets';
import type { Tag, Tags } from './tag';

/**
 * Shares tags among like-built siblings: the tag of one member, or of a part of it, holds for the same part
 * of the others, except where other tags are set. Of several different tags the first one counts.
 */
export function shareTags(repeats: Repeats, tags: Tags, has: (key: LayerKey) => boolean): Tags {
  if (tags.size === 0 || repeats.size === 0) return tags;
  const members = membersOf(repeats);
  // One template for each part of a pattern keeps this linear in the number of tagged siblings.
  const templates = new Map<
    string,
    { readonly pattern: LayerKey; readonly rest: string; readonly tag: Tag }
  >();
  for (const [key, tag] of tags) {
    for (const [at, rest] of membershipsOf(key, repeats)) {
      const pattern = repeats.get(at)?.pattern ?? at;
      const mark = `${pattern}\n${rest}`;
      templates.set(mark, { pattern, rest, tag: fillMissing(templates.get(mark)?.tag ?? {}, tag) });
    }
  }
  const spread = new Map(tags);
  for (const { pattern, rest, tag } of templates.values()) {
    for (const member of members.get(pattern) ?? []) {
      const other = member + rest;
      if (has(other)) spread.set(other, fillMissing(spread.get(other) ?? {}, tag));
    }
  }
  return spread;
}

function membersOf(repeats: Repeats): ReadonlyMap<LayerKey, readonly LayerKey[]> {
  const members = new Map<LayerKey, LayerKey[]>();
  for (const [key, { pattern }] of repeats) {
    const known = members.get(pattern);
    if (known) known.push(key);
    else members.set(pattern, [key]);
  }
  return members;
}

/** The repeats that the layer is or is part of, with the path from the member to the layer. */
function membershipsOf(key: LayerKey, repeats: Repeats): readonly (readonly [LayerKey, string])[] {
  const places: [LayerKey, string][] = [];
  for (let end = key.length; end > 0; end = key.lastIndexOf('/', end - 1)) {
    const at = key.slice(0, end);
    if (repeats.has(at)) places.push([at, key.slice(end)]);
  }
  return places;
}

function fillMissing(own: Tag, from: Tag): Tag {
  const missing = SHARED_FACETS.filter((facet) => own[facet] === undefined && from[facet] !== undefined);
  return missing.length === 0
    ? own
    : { ...own, ...Object.fromEntries(missing.map((facet) => [facet, from[facet]])) };
}
