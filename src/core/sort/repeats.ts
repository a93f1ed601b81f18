import { boxForm } from '../look/boxForm';
import type { Measures } from '../mockup/bounds';
import type { Box } from '../mockup/box';
import type { GroupLayer, Layer, LayerId } from '../mockup/layer';
import type { Screen } from '../mockup/mockup';
import { walk } from '../mockup/walk';

/** One of several siblings that are built alike. */
export interface Repeat {
  /** The first member, whose key identifies the pattern. */
  readonly pattern: LayerId;
  /** Its place among them, from 0. */
  readonly index: number;
  readonly count: number;
  /** True when the file instances one element several times. */
  readonly certain: boolean;
}

export type Repeats = ReadonlyMap<LayerId, Repeat>;

/** The smallest share of parts that two members have in common. */
const ALIKE_SHARE = 0.7;
/** Two members with this many parts form a pattern; simpler ones need three. */
export const TELLING_PARTS = 4;
/** The newest patterns of a group that a further sibling is compared with. */
const MOST_OPEN = 24;

/** The structure of a layer: its parts by kind and look, each with its count. */
export interface Build {
  readonly layer: GroupLayer;
  readonly box: Box;
  readonly parts: ReadonlyMap<string, number>;
  readonly size: number;
}

/**
 * Finds like-built siblings by structure and look. Texts and pictures may differ, a part may be missing, and
 * at least one side length is equal. Parts are compared by kind and look, not by place.
 */
export function findRepeats(screen: Screen, measures: Measures): Repeats {
  const repeats = new Map<LayerId, Repeat>();
  for (const layer of walk(screen.root)) {
    if (layer.kind !== 'group' || layer.layers.length < 2) continue;
    for (const pattern of patternsIn(layer, measures)) {
      const [first] = pattern;
      if (!first || pattern.length < (first.size >= TELLING_PARTS ? 2 : 3)) continue;
      const certain = pattern.every((one) => isInstance(one.layer, first.layer));
      pattern.forEach((one, index) =>
        repeats.set(one.layer.id, { pattern: first.layer.id, index, count: pattern.length, certain }),
      );
    }
  }
  return repeats;
}

function patternsIn(parent: GroupLayer, measures: Measures): readonly (readonly Build[])[] {
  const patterns: Build[][] = [];
  for (const layer of parent.layers) {
    const box = measures.get(layer.id)?.painted;
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

/** A part without the properties that may differ: its letters, its picture, its colours. */
export function partName(layer: Layer): string | null {
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
  return (2 * shared) / (one.size + other.size) >= ALIKE_SHARE;
}

function isSideSame(one: Box, other: Box): boolean {
  const near = (a: number, b: number) => Math.abs(a - b) <= Math.max(2, 0.03 * Math.max(a, b));
  return near(one.width, other.width) || near(one.height, other.height);
}

function isInstance(one: GroupLayer, other: GroupLayer): boolean {
  return one.instanceOf !== null && one.instanceOf === other.instanceOf;
}
