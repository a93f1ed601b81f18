import type { Measures } from '../mockup/bounds';
import { geometryBox } from '../mockup/bounds';
import type { Box } from '../mockup/box';
import type { GroupLayer, Layer, LayerId } from '../mockup/layer';
import { splitName } from '../mockup/layerName';
import type { Mockup, Screen } from '../mockup/mockup';
import { walk } from '../mockup/walk';
import { nameWords } from './nameWords';
import type { Tags } from './tag';
import type { State } from './vocabulary';

/** A layer that is a state version of another one. */
export interface StateOf {
  readonly base: Layer;
  readonly state: State;
}

export type StatesOf = ReadonlyMap<LayerId, StateOf>;

/** Common practice, no source: name suffixes of versions. Null marks the base itself. */
const ENDINGS: ReadonlyMap<string, State | null> = new Map<string, State | null>([
  ...['normal', 'default', 'up', 'off', 'idle', 'rest', 'unpressed'].map((word) => [word, null] as const),
  ...['hover', 'hovered', 'over', 'rollover'].map((word) => [word, 'hover'] as const),
  ...['active', 'pressed', 'press', 'down'].map((word) => [word, 'active'] as const),
  ...['focus', 'focused'].map((word) => [word, 'focus'] as const),
  ...['disabled', 'inactive'].map((word) => [word, 'disabled'] as const),
  ...['checked', 'on'].map((word) => [word, 'checked'] as const),
  ...['selected', 'current'].map((word) => [word, 'selected'] as const),
  ...['open', 'expanded'].map((word) => [word, 'open'] as const),
]);

/** The relative difference of sides that two versions may have. */
const SIZE_TOLERANCE = 0.1;

/**
 * A name without its state suffix, and that state: `Save pressed`, `save_over`, `saveHover`, `Save
 * [button:active]`.
 */
export function splitState(name: string): { readonly stem: string; readonly state: State | null } {
  const { bare, brackets } = splitName(name);
  const pseudo = /:(hover|active|focus|disabled|checked)\b/.exec(brackets ?? '')?.[1] as State | undefined;
  const words = nameWords(bare).filter((word) => !/^\d+$/.test(word));
  const ends = words.length > 1 ? ENDINGS.get(words.at(-1) ?? '') : undefined;
  const stem = (ends === undefined ? words : words.slice(0, -1)).join(' ');
  return { stem, state: pseudo ?? ends ?? null };
}

/** The states found, overruled by tags and names of single layers. */
export function resolveStates(
  found: StatesOf,
  said: Tags,
  screen: Screen,
  measures: Measures,
  mockup: Pick<Mockup, 'faces'>,
): StatesOf {
  const spoken = [...said].filter(([, tag]) => tag.state !== undefined);
  if (spoken.length === 0) return found;
  const settled = new Map(found);
  for (const parent of walk(screen.root)) {
    if (parent.kind !== 'group') continue;
    for (const layer of parent.layers) {
      const state = said.get(layer.id)?.state;
      if (state === undefined) continue;
      const base = found.get(layer.id)?.base ?? siblingAt(layer, parent, measures, mockup, said);
      if (state !== 'none' && base) settled.set(layer.id, { base, state });
      else settled.delete(layer.id);
    }
  }
  return settled;
}

/** The nearest sibling of about the same size that is no version itself. */
function siblingAt(
  layer: Layer,
  parent: GroupLayer,
  measures: Measures,
  { faces }: Pick<Mockup, 'faces'>,
  said: Tags,
): Layer | null {
  const matrix = measures.get(parent.id)?.matrix;
  const own = matrix && geometryBox(layer, matrix, faces);
  if (!matrix || !own) return null;
  let best: { readonly layer: Layer; readonly distance: number } | null = null;
  for (const sibling of parent.layers) {
    const isVersion = (said.get(sibling.id)?.state ?? 'none') !== 'none';
    const box = sibling === layer || isVersion ? null : geometryBox(sibling, matrix, faces);
    if (!box || !isSameSize(own, box)) continue;
    const distance = Math.hypot(box.x - own.x, box.y - own.y);
    if (!best || distance < best.distance) best = { layer: sibling, distance };
  }
  return best?.layer ?? null;
}

/**
 * Finds layers that are state versions of a sibling: equal in name except for the state suffix, and of its
 * size.
 */
export function findStates(screen: Screen, measures: Measures, { faces }: Pick<Mockup, 'faces'>): StatesOf {
  const states = new Map<LayerId, StateOf>();
  for (const parent of walk(screen.root)) {
    const matrix = measures.get(parent.id)?.matrix;
    if (parent.kind !== 'group' || !matrix) continue;
    // Hidden versions paint nothing, but have geometry.
    const boxOf = (layer: Layer) => geometryBox(layer, matrix, faces);
    const bases = new Map<string, Layer>();
    const versions: { readonly layer: Layer; readonly stem: string; readonly state: State }[] = [];
    for (const layer of parent.layers) {
      if (layer.sourceName === null) continue;
      const { stem, state } = splitState(layer.sourceName);
      if (state !== null) versions.push({ layer, stem, state });
      else if (stem !== '' && !bases.has(stem)) bases.set(stem, layer);
    }
    for (const { layer, stem, state } of versions) {
      const base = bases.get(stem);
      // The visible version is on the page, whatever its name.
      const isShown = layer.visible && base?.visible === false;
      if (base && !isShown && isSameSize(boxOf(base), boxOf(layer))) states.set(layer.id, { base, state });
    }
  }
  return states;
}

/** Px by which a hidden version may be off the layer beneath. */
const ON_PLACE = 2;

/**
 * Hidden layers of about the size of a visible sibling at the same place: likely another state of it, which a
 * person can set.
 */
export function findTwins(
  screen: Screen,
  measures: Measures,
  { faces }: Pick<Mockup, 'faces'>,
): ReadonlyMap<LayerId, Layer> {
  const twins = new Map<LayerId, Layer>();
  for (const parent of walk(screen.root)) {
    const matrix = measures.get(parent.id)?.matrix;
    if (parent.kind !== 'group' || !matrix || parent.layers.every((layer) => layer.visible)) continue;
    for (const layer of parent.layers) {
      const own = layer.visible ? null : geometryBox(layer, matrix, faces);
      const on =
        own &&
        parent.layers.find((sibling) => {
          const box =
            sibling.visible && sibling.kind === layer.kind ? geometryBox(sibling, matrix, faces) : null;
          return box && isSameSize(own, box) && Math.hypot(box.x - own.x, box.y - own.y) <= ON_PLACE;
        });
      if (on) twins.set(layer.id, on);
    }
  }
  return twins;
}

function isSameSize(one: Box | null, other: Box | null): boolean {
  if (!one || !other) return false;
  const near = (a: number, b: number) => Math.abs(a - b) <= SIZE_TOLERANCE * Math.max(a, b);
  return near(one.width, other.width) && near(one.height, other.height);
}
