import type { Report } from '../findings/finding';
import { layerTitle } from '../look/layerTitle';
import type { Measures } from '../mockup/bounds';
import { intersection } from '../mockup/box';
import type { Layer, LayerKey } from '../mockup/layer';
import type { Mockup, Screen } from '../mockup/mockup';
import { walk } from '../mockup/walk';
import type { Decisions } from './decision';
import type { Repeats } from './repeats';
import type { Tags } from './tag';

/** Several layers that form one picture, at the place of the topmost. */
export interface Merge {
  readonly name: string;
  /** In drawing order; the last is the topmost. None of them is part of another. */
  readonly layers: readonly LayerKey[];
}

/** For every merged layer, its merge. */
export type Merges = ReadonlyMap<LayerKey, Merge>;

/** The merges of a screen. A merge name on a single layer merges nothing. */
export function findMerges(screen: Screen, said: Tags): Merges {
  const byName = new Map<string, LayerKey[]>();
  const visit = (layer: Layer) => {
    const name = said.get(layer.key)?.merge;
    if (name !== undefined) byName.set(name, [...(byName.get(name) ?? []), layer.key]);
    // What is inside of a merged group is merged with it.
    else if (layer.kind === 'group') layer.layers.forEach(visit);
  };
  if ([...said.values()].some((tag) => tag.merge !== undefined)) screen.root.layers.forEach(visit);
  const merges = new Map<LayerKey, Merge>();
  for (const [name, layers] of byName) {
    if (layers.length > 1) for (const key of layers) merges.set(key, { name, layers });
  }
  return merges;
}

/**
 * Repeats a merge inside one like-built sibling in all siblings, unless other tags are set there.
 * @param has whether a layer exists
 */
export function spreadMerges(merges: Merges, repeats: Repeats, has: (key: LayerKey) => boolean): Merges {
  if (merges.size === 0) return merges;
  const spread = new Map(merges);
  for (const { name, layers } of new Set(merges.values())) {
    const around = memberAround(layers, repeats);
    if (around === null) continue;
    const pattern = repeats.get(around)?.pattern;
    for (const [member, repeat] of repeats) {
      if (repeat.pattern !== pattern || member === around) continue;
      const parts = layers.map((key) => member + key.slice(around.length));
      if (parts.every((key) => has(key) && !spread.has(key)))
        for (const key of parts) spread.set(key, { name, layers: parts });
    }
  }
  return spread;
}

/** The innermost like-built sibling that all the layers are parts of. */
function memberAround([first, ...others]: readonly LayerKey[], repeats: Repeats): LayerKey | null {
  if (first === undefined) return null;
  for (let end = first.lastIndexOf('/'); end > 0; end = first.lastIndexOf('/', end - 1)) {
    const around = first.slice(0, end);
    if (repeats.has(around) && others.every((key) => key.startsWith(`${around}/`))) return around;
  }
  return null;
}

/**
 * Reports layers that lie between the parts of a merged picture and over some of them: they will lie over or
 * under the whole.
 */
export function reportMerges(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  decisions: Decisions,
  report: Report,
): void {
  for (const screen of mockup.screens) {
    const measured = measures.get(screen.key);
    if (!measured) continue;
    for (const [key, { merge }] of decisions) {
      if (!merge || !measured.has(key)) continue;
      const between = layersBetween(screen, merge, measured, decisions);
      const [first] = between;
      if (first)
        report('merge-overlap', key, {
          name: merge.name,
          what: layerTitle(first).text,
          count: between.length,
        });
    }
  }
}

function layersBetween(
  screen: Screen,
  merge: Merge,
  measures: Measures,
  decisions: Decisions,
): readonly Layer[] {
  const parts = new Set(merge.layers);
  const below: LayerKey[] = [];
  const between: Layer[] = [];
  const visit = (layer: Layer) => {
    if (parts.has(layer.key)) below.push(layer.key);
    else if (layer.kind === 'group') layer.layers.forEach(visit);
    else if (below.length > 0 && below.length < parts.size && isOnPage(layer)) {
      const box = measures.get(layer.key)?.painted;
      const covers = below.some((key) => {
        const part = measures.get(key)?.painted;
        const shared = box && part && intersection(box, part);
        return shared && shared.width > 0 && shared.height > 0;
      });
      if (covers) between.push(layer);
    }
  };
  const isOnPage = ({ key }: Layer) => decisions.get(key)?.outcome !== 'aside';
  visit(screen.root);
  return between;
}

/** The layers with these keys, in drawing order. */
export function layersNamed(screen: Screen, keys: readonly LayerKey[]): readonly Layer[] {
  const wanted = new Set(keys);
  return walk(screen.root).filter((layer) => wanted.has(layer.key));
}
