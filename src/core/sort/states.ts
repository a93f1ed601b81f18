import type { Measures } from '../mockup/bounds';
import { geometryBox } from '../mockup/bounds';
import { area, grow, intersection, type Box } from '../mockup/box';
import type { GroupLayer, Layer, LayerId } from '../mockup/layer';
import type { Mockup, Screen } from '../mockup/mockup';
import { walk } from '../mockup/walk';
import { readStateName, withoutNumbers, type StateName } from './stateNames';
import type { Tags } from './tag';
import { OPPOSITES, type State } from './vocabulary';

/** A layer that is a state version of another one. */
export interface StateOf {
  readonly base: Layer;
  readonly state: State;
}

export type StatesOf = ReadonlyMap<LayerId, StateOf>;

/** The relative difference of sides that two versions may have. */
const SIZE_TOLERANCE = 0.1;
/** The share of the smaller version's area that lies on the other one. */
const SHARED_PLACE = 0.5;

/** A layer with what its name says, and its box even when it is hidden. */
interface Candidate extends StateName {
  readonly layer: Layer;
  readonly box: Box;
}

/**
 * Finds the layers that are state versions of a sibling: their name says so, they lie at its place, and one of
 * the two is hidden. A layer that is seen is never a version of another one by a guess.
 */
export function findStates(screen: Screen, measures: Measures, faces: Pick<Mockup, 'faces'>): StatesOf {
  const states = new Map<LayerId, StateOf>();
  for (const parent of walk(screen.root)) {
    if (parent.kind !== 'group' || parent.layers.every(({ visible }) => visible)) continue;
    const candidates = candidatesIn(parent, measures, faces);
    for (const version of candidates) {
      const { layer, state } = version;
      if (state === null) continue;
      const base = baseOf(version, candidates);
      if (!base) continue;
      if (!layer.visible) states.set(layer.id, { base: base.layer, state });
      // The version that is seen is at rest; the hidden base is its opposite.
      else if (OPPOSITES[state]) states.set(base.layer.id, { base: layer, state: OPPOSITES[state] });
    }
  }
  return states;
}

function candidatesIn(
  parent: GroupLayer,
  measures: Measures,
  { faces }: Pick<Mockup, 'faces'>,
): readonly Candidate[] {
  const matrix = measures.get(parent.id)?.matrix;
  if (!matrix) return [];
  return parent.layers.flatMap((layer) => {
    const box = geometryBox(layer, matrix, faces);
    return box ? [{ layer, box, ...readStateName(layer.sourceName ?? '') }] : [];
  });
}

/** The sibling at rest at the place of a version: one with its name, else the only one of its size. */
function baseOf(version: Candidate, candidates: readonly Candidate[]): Candidate | null {
  const isOther = (each: Candidate) => each !== version && each.state === null;
  const here = candidates.filter((each) => isOther(each) && areAtOnePlace(each.box, version.box));
  // One of the two is hidden, and only one.
  const possible = here.filter(({ layer }) => layer.visible !== version.layer.visible);
  const named = bestNamed(version, possible);
  if (named) return named;
  const alike = possible.filter(({ layer, box }) => layer.visible && isSameSize(box, version.box));
  return version.stem === '' || alike.length === 1 ? (alike[0] ?? null) : null;
}

/** The candidate with the name of a version, if possible with its numbers too. */
function bestNamed({ stem }: StateName, candidates: readonly Candidate[]): Candidate | null {
  const bare = withoutNumbers(stem);
  return (
    candidates.find((each) => each.stem === stem && (stem !== '' || each.isRest)) ??
    candidates.find((each) => bare !== '' && withoutNumbers(each.stem) === bare) ??
    null
  );
}

/** The states found, overruled by tags and names of single layers. */
export function resolveStates(
  found: StatesOf,
  said: Tags,
  screen: Screen,
  measures: Measures,
  mockup: Pick<Mockup, 'faces'>,
): StatesOf {
  const spoken = new Map([...said].flatMap(([id, { state }]) => (state === undefined ? [] : [[id, state]])));
  if (spoken.size === 0) return found;
  const settled = new Map(found);
  for (const parent of walk(screen.root)) {
    if (parent.kind !== 'group' || !parent.layers.some(({ id }) => spoken.has(id))) continue;
    const candidates = candidatesIn(parent, measures, mockup);
    for (const layer of parent.layers) {
      const state = spoken.get(layer.id);
      if (state === undefined) continue;
      const isBase = (each: Layer) => (spoken.get(each.id) ?? 'none') === 'none' && !found.has(each.id);
      const base = found.get(layer.id)?.base ?? saidBaseOf(layer, candidates, isBase);
      if (state !== 'none' && base) settled.set(layer.id, { base, state });
      else settled.delete(layer.id);
    }
  }
  return settled;
}

/** The base of a layer that a person or its name calls a version: it may stand elsewhere, as on a sheet. */
function saidBaseOf(
  layer: Layer,
  candidates: readonly Candidate[],
  isBase: (layer: Layer) => boolean,
): Layer | null {
  const own = candidates.find((each) => each.layer === layer);
  if (!own) return null;
  const others = candidates.filter((each) => each.layer !== layer && isBase(each.layer));
  const named = bestNamed(own, others);
  if (named) return named.layer;
  const alike = others.filter((each) => isSameSize(own.box, each.box));
  const near = (each: Candidate) => Math.hypot(each.box.x - own.box.x, each.box.y - own.box.y);
  const [nearest] = [...alike].sort((one, other) => near(one) - near(other));
  return (nearest ?? others.find((each) => areAtOnePlace(each.box, own.box)))?.layer ?? null;
}

/** True for boxes of which the smaller one lies mostly on the other one; lines have a width of a px. */
function areAtOnePlace(one: Box, other: Box): boolean {
  const [first, second] = [grow(one, 0.5), grow(other, 0.5)];
  const shared = intersection(first, second);
  return shared !== null && area(shared) >= SHARED_PLACE * Math.min(area(first), area(second));
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
