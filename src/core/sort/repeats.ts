import { boxForm } from '../look/boxForm';
import type { Measures } from '../mockup/bounds';
import type { Box } from '../mockup/box';
import type { GroupLayer, Layer, LayerKey } from '../mockup/layer';
import type { Screen } from '../mockup/mockup';
import { walk } from '../mockup/walk';

/** One of several siblings that are built alike. */
export interface Repeat {
  /** The first of them, by whose key the pattern is known. */
  readonly pattern: LayerKey;
  /** Its place among them, from 0. */
  readonly index: number;
  readonly count: number;
  /** True when the file itself says so, by showing one thing several times. */
  readonly certain: boolean;
}

export type Repeats = ReadonlyMap<LayerKey, Repeat>;

/** The share of parts that two siblings must have in common. */
const ALIKE = 0.7;
/** Parts that make two siblings enough for a pattern; simpler ones need three. */
export const TELLING_PARTS = 4;
/** Patterns of one group that a further sibling is held against, the newest ones. */
const MOST_OPEN = 24;

/** How a layer is built: its parts by kind and look, each with how often it is there. */
export interface Build {
  readonly layer: GroupLayer;
  readonly box: Box;
  readonly parts: ReadonlyMap<string, number>;
  readonly size: number;
}

/**
 * Finds like-built siblings by structure and look. Texts and pictures may differ, a part may be missing, and one of
 * both sides is the same; parts of a pattern are compared by what they are, not by their place.
 */
export function findRepeats(screen: Screen, measures: Measures): Repeats {
  const repeats = new Map<LayerKey, Repeat>();
  for (const layer of walk(screen.root)) {
    if (layer.kind !== 'group' || layer.layers.length < 2) continue;
    for (const pattern of patternsIn(layer, measures)) {
      const [first] = pattern;
      if (!first || pattern.length < (first.size >= TELLING_PARTS ? 2 : 3)) continue;
      const certain = pattern.every((one) => isInstance(one.layer, first.layer));
      pattern.forEach((one, index) =>
        repeats.set(one.layer.key, { pattern: first.layer.key, index, count: pattern.length, certain }),
      );
    }
  }
  return repeats;
}

function patternsIn(parent: GroupLayer, measures: Measures): readonly (readonly Build[])[] {
  const patterns: Build[][] = [];
  for (const layer of parent.layers) {
    const box = measures.get(layer.key)?.painted;
    if (layer.kind !== 'group' || !layer.visible || !box) continue;
    const built = buildOf(layer, box);
    const known = patterns.slice(-MOST_OPEN).find((pattern) => pattern[0] && isAlike(pattern[0], built));
    if (known) known.push(built);
    else patterns.push([built]);
  }
  return patterns;
}

export function buildOf(layer: GroupLayer, box: Box): Build {
  const parts = new Map<string, number>();
  let size = 0;
  for (const part of walk(layer)) {
    if (part === layer || !part.visible) continue;
    const what = partName(part);
    if (what === null) continue;
    parts.set(what, (parts.get(what) ?? 0) + 1);
    size += 1;
  }
  return { layer, box, parts, size };
}

/** What a part is, without what may differ: its letters, its picture, its colours. */
function partName(layer: Layer): string | null {
  switch (layer.kind) {
    case 'text': {
      const style = layer.lines[0]?.runs[0]?.style;
      return style ? `text ${style.families[0] ?? ''} ${Math.round(style.size)} ${style.weight}` : null;
    }
    case 'shape':
      return boxForm(layer)?.kind ?? 'drawing';
    case 'bitmap':
      return 'bitmap';
    case 'group':
      return layer.layers.length > 1 ? 'group' : null;
  }
}

export function isAlike(one: Build, other: Build): boolean {
  if (isInstance(one.layer, other.layer)) return true;
  if (one.size === 0 || other.size === 0 || !isSideSame(one.box, other.box)) return false;
  let shared = 0;
  for (const [part, count] of one.parts) {
    // A drawing may have any number of shapes.
    const both = Math.min(count, other.parts.get(part) ?? 0);
    shared += part === 'drawing' && both > 0 ? (count + (other.parts.get(part) ?? 0)) / 2 : both;
  }
  return (2 * shared) / (one.size + other.size) >= ALIKE;
}

function isSideSame(one: Box, other: Box): boolean {
  const near = (a: number, b: number) => Math.abs(a - b) <= Math.max(2, 0.03 * Math.max(a, b));
  return near(one.width, other.width) || near(one.height, other.height);
}

function isInstance(one: GroupLayer, other: GroupLayer): boolean {
  return one.instanceOf !== null && one.instanceOf === other.instanceOf;
}
