import type { LayerTree } from '../mockup/tree';
import type { Report } from '../findings/finding';
import { layerTitle } from '../look/layerTitle';
import type { Measures } from '../mockup/bounds';
import { intersection } from '../mockup/box';
import type { GroupLayer, Layer, LayerId } from '../mockup/layer';
import type { Mockup, Screen } from '../mockup/mockup';
import { walk } from '../mockup/walk';
import type { Decisions } from './decision';
import { partLike } from './partLike';
import type { Repeats } from './repeats';
import type { Tags } from './tag';

/** Several layers that form one picture, at the place of the topmost. */
export interface Merge {
  readonly name: string;
  /** In drawing order; the last is the topmost. None of them is part of another. */
  readonly layers: readonly LayerId[];
}

/** For every merged layer, its merge. */
export type Merges = ReadonlyMap<LayerId, Merge>;

/** The merges of a screen. A merge name on a single layer merges nothing. */
export function findMerges(screen: Screen, said: Tags): Merges {
  const byName = new Map<string, LayerId[]>();
  const visit = (layer: Layer) => {
    const name = said.get(layer.id)?.merge;
    if (name !== undefined) byName.set(name, [...(byName.get(name) ?? []), layer.id]);
    // What is inside of a merged group is merged with it.
    else if (layer.kind === 'group') layer.layers.forEach(visit);
  };
  if ([...said.values()].some((tag) => tag.merge !== undefined)) screen.root.layers.forEach(visit);
  const merges = new Map<LayerId, Merge>();
  for (const { name, layers } of picturesAroundSlots(screen, said))
    for (const key of layers) merges.set(key, { name, layers });
  for (const [name, layers] of byName) {
    if (layers.length > 1) for (const key of layers) merges.set(key, { name, layers });
  }
  return merges;
}

/**
 * The parts of groups that a person or their name calls a picture, although the program fills something inside:
 * all that it does not fill is one picture.
 */
function picturesAroundSlots(screen: Screen, said: Tags): readonly Merge[] {
  const slots = [...said].flatMap(([id, { slot }]) => (slot === undefined ? [] : [id]));
  if (slots.length === 0) return [];
  const pictures: Merge[] = [];
  const visit = (layer: Layer): void => {
    if (layer.kind !== 'group') return;
    if (said.get(layer.id)?.outcome !== 'picture' || !holdsSlot(layer, said))
      return layer.layers.forEach(visit);
    const parts = layersBesideSlots(layer, said);
    const name = said.get(layer.id)?.outputName ?? layerTitle(layer).text;
    if (parts.length > 0) pictures.push({ name, layers: parts });
  };
  screen.root.layers.forEach(visit);
  return pictures;
}

/** True for a group with a part inside that the program fills. */
function holdsSlot(layer: Layer, said: Tags): boolean {
  return walk(layer).some(({ id }) => id !== layer.id && said.get(id)?.slot !== undefined);
}

function layersBesideSlots(group: GroupLayer, said: Tags): readonly LayerId[] {
  return group.layers.flatMap((layer) => {
    if (!layer.visible || said.get(layer.id)?.slot !== undefined) return [];
    return layer.kind === 'group' && holdsSlot(layer, said) ? layersBesideSlots(layer, said) : [layer.id];
  });
}

/**
 * Repeats a merge inside one like-built sibling in all siblings, unless other tags are set there.
 * @param has whether a layer is on the screen
 */
export function spreadMerges(
  merges: Merges,
  repeats: Repeats,
  tree: LayerTree,
  has: (id: LayerId) => boolean,
): Merges {
  if (merges.size === 0) return merges;
  const spread = new Map(merges);
  for (const { name, layers } of new Set(merges.values())) {
    const around = memberAround(layers, repeats, tree);
    if (around === null) continue;
    const pattern = repeats.get(around)?.pattern;
    for (const [member, repeat] of repeats) {
      if (repeat.pattern !== pattern || member === around) continue;
      const parts = layers.flatMap((id) => partLike(tree, around, id, member) ?? []);
      if (parts.length === layers.length && parts.every((id) => has(id) && !spread.has(id)))
        for (const id of parts) spread.set(id, { name, layers: parts });
    }
  }
  return spread;
}

/** The innermost like-built sibling that all the layers are parts of. */
function memberAround(
  [first, ...others]: readonly LayerId[],
  repeats: Repeats,
  tree: LayerTree,
): LayerId | null {
  const around = first === undefined ? [] : tree.ancestors(first);
  return (
    around.find((id) => repeats.has(id) && others.every((other) => tree.ancestors(other).includes(id))) ??
    null
  );
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
    const measured = measures.get(screen.id);
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
  const below: LayerId[] = [];
  const between: Layer[] = [];
  const visit = (layer: Layer) => {
    if (parts.has(layer.id)) below.push(layer.id);
    else if (layer.kind === 'group') layer.layers.forEach(visit);
    else if (below.length > 0 && below.length < parts.size && isOnPage(layer)) {
      const box = measures.get(layer.id)?.painted;
      const covers = below.some((key) => {
        const part = measures.get(key)?.painted;
        const shared = box && part && intersection(box, part);
        return shared && shared.width > 0 && shared.height > 0;
      });
      if (covers) between.push(layer);
    }
  };
  const isOnPage = ({ id }: Layer) => decisions.get(id)?.outcome !== 'aside';
  visit(screen.root);
  return between;
}

/** The layers with these keys, in drawing order. */
export function layersNamed(screen: Screen, keys: readonly LayerId[]): readonly Layer[] {
  const wanted = new Set(keys);
  return walk(screen.root).filter((layer) => wanted.has(layer.id));
}
