import { boxForm } from '../look/boxForm';
import { areOneSize, intersection, type Box } from '../mockup/box';
import type { GroupLayer, Layer } from '../mockup/layer';
import { isTelling, splitName } from '../mockup/layerName';
import { walk } from '../mockup/walk';
import { measureOf, type Facts } from './facts';
import { nameWords } from './nameWords';

/** Words for one drawing, whatever it is made of (common practice of naming, no source). */
const DRAWINGS: ReadonlySet<string> = new Set(
  'logo logotype wordmark emblem crest seal brandmark illustration drawing artwork map pie donut chart graph plot sparkline diagram gauge dial icon glyph pictogram'.split(
    ' ',
  ),
);

/** The last word of a layer's name, when it says that the layer is one drawing. */
export function drawingWord(layer: Layer): string | null {
  const last = wordsIn(layer).at(-1);
  return last !== undefined && DRAWINGS.has(last) ? last : null;
}

function wordsIn({ sourceName }: Layer): readonly string[] {
  return nameWords(splitName(sourceName ?? '').bare).filter((word) => !/^\d+$/.test(word));
}

/** Px: smaller parts are details of a drawing. */
const SMALLEST = 8;
/** How many times larger the largest drawing of a set may be than the smallest. */
const LARGEST = 2.5;

/**
 * True for a group whose parts are drawings of their own, such as a set of icons: they lie apart, are of like
 * size, and each has a name or is built as the others.
 */
export function isSet(group: GroupLayer, facts: Facts): boolean {
  if (wordsIn(group).some((word) => DRAWINGS.has(word))) return false;
  const parts = group.layers.filter(({ visible }) => visible);
  const boxes = parts.flatMap(({ id }) => measureOf(facts, id).painted ?? []);
  if (parts.length < 2 || boxes.length < parts.length || !areApart(boxes) || !areOfLikeSize(boxes))
    return false;
  return (
    parts.every((part) => isNamed(part) || isInstance(part)) ||
    areRepeats(parts, facts) ||
    (parts.length >= FEWEST_EQUAL && areOneSize(boxes, SAME_SIZE) && parts.every(holdsFreeShape))
  );
}

function areApart(boxes: readonly Box[]): boolean {
  return boxes.every((one, at) =>
    boxes.slice(at + 1).every((other) => {
      const shared = intersection(one, other);
      return shared === null || shared.width <= 0.5 || shared.height <= 0.5;
    }),
  );
}

function areOfLikeSize(boxes: readonly Box[]): boolean {
  const sides = boxes.map(({ width, height }) => Math.max(width, height));
  const [least, most] = [Math.min(...sides), Math.max(...sides)];
  return least >= SMALLEST && most <= LARGEST * least;
}

/** This many drawings of one size are a set without names, such as the stars of a rating. */
const FEWEST_EQUAL = 3;
/** Px by which drawings of one size differ. */
const SAME_SIZE = 0.5;

function holdsFreeShape(layer: Layer): boolean {
  return walk(layer).some((part) => part.kind === 'shape' && !boxForm(part));
}

function isNamed({ sourceName }: Layer): boolean {
  const { bare } = splitName(sourceName ?? '');
  // A single letter names a letter of a word that is drawn.
  return isTelling(bare) ? [...bare].length > 1 || /[^\p{L}\p{N}]/u.test(bare) || isIdeograph(bare) : false;
}

function isIdeograph(name: string): boolean {
  return /\p{Ideographic}/u.test(name);
}

function isInstance(layer: Layer): boolean {
  return layer.kind === 'group' && layer.instanceOf !== null;
}

function areRepeats(parts: readonly Layer[], { repeats }: Facts): boolean {
  const [first, ...others] = parts.map(({ id }) => repeats.get(id)?.pattern);
  return first !== undefined && others.every((pattern) => pattern === first);
}
