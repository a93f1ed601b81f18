import type { LayerKey } from '../mockup/layer';
import type { Repeats } from './repeats';
import type { Facet, Tag, Tags } from './tag';

/** What holds for all that are built alike; names, slots and screens are each layer's own. */
export const SHARED = ['outcome', 'role', 'classes', 'hidden'] as const satisfies readonly Facet[];

/**
 * The tags that like-built siblings take over: what is said of one of them or of a part of it holds for the same part
 * of the others, unless something else is said there. Of several that differ, the first one's holds.
 */
export function spreadTags(repeats: Repeats, tags: Tags, has: (key: LayerKey) => boolean): Tags {
  if (tags.size === 0 || repeats.size === 0) return tags;
  const members = membersOf(repeats);
  // One template a part of a pattern, so that a thousand tagged siblings are no million steps.
  const templates = new Map<
    string,
    { readonly pattern: LayerKey; readonly rest: string; readonly tag: Tag }
  >();
  for (const [key, tag] of tags) {
    for (const [at, rest] of placesIn(key, repeats)) {
      const pattern = repeats.get(at)?.pattern ?? at;
      const mark = `${pattern}\n${rest}`;
      templates.set(mark, { pattern, rest, tag: fill(templates.get(mark)?.tag ?? {}, tag) });
    }
  }
  const spread = new Map(tags);
  for (const { pattern, rest, tag } of templates.values()) {
    for (const member of members.get(pattern) ?? []) {
      const other = member + rest;
      if (has(other)) spread.set(other, fill(spread.get(other) ?? {}, tag));
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

/** The repeats that the layer is or is part of, with the rest of its key from there. */
function placesIn(key: LayerKey, repeats: Repeats): readonly (readonly [LayerKey, string])[] {
  const places: [LayerKey, string][] = [];
  for (let end = key.length; end > 0; end = key.lastIndexOf('/', end - 1)) {
    const at = key.slice(0, end);
    if (repeats.has(at)) places.push([at, key.slice(end)]);
  }
  return places;
}

function fill(own: Tag, from: Tag): Tag {
  const missing = SHARED.filter((facet) => own[facet] === undefined && from[facet] !== undefined);
  return missing.length === 0
    ? own
    : { ...own, ...Object.fromEntries(missing.map((facet) => [facet, from[facet]])) };
}
