import { wordsOf } from '../look/layerTitle';
import { transformBox, union, type Box } from '../mockup/box';
import type { GroupLayer, Layer, LayerId, TextLayer } from '../mockup/layer';
import { applyTo, IDENTITY, multiply, type Matrix } from '../mockup/matrix';
import { memoizeByObject } from '../mockup/memoize';
import { transformedBox } from '../mockup/outline';
import { walk } from '../mockup/walk';
import { partName } from './repeats';

/** The parts of one layer and of a like-built one that correspond, and those without a counterpart. */
export interface PartPairs {
  readonly pairs: readonly (readonly [one: Layer, other: Layer])[];
  readonly onlyOne: readonly Layer[];
  readonly onlyOther: readonly Layer[];
}

/** Longer lists are paired in order: comparing every two of them would take quadratic time. */
const MOST_COMPARED = 60_000;
/** Px by which parts at the same place may differ. */
const SAME_PLACE = 2;

/** What parts have in common counts for their being counterparts; what differs counts against. */
const SCORES = {
  name: 3,
  look: 1,
  otherLook: -1.5,
  place: 2.5,
  row: 0.75,
  /** Moved from its counterpart as the part before. */
  sameMove: 1.5,
  words: 3,
  shapeOfWords: 3,
  figuresForLetters: -3,
  otherLabel: -3,
  gap: -0.25,
} as const;

/**
 * The direct parts of two like-built groups that correspond: by place, look, name and words, in the order of
 * drawing. Never by number: a missing part does not move the others on.
 */
export function pairParts(one: GroupLayer, other: GroupLayer, labels: Labels = NO_LABELS): PartPairs {
  const known = pairsOf(labels);
  const ofOne = known.get(one) ?? new WeakMap<GroupLayer, PartPairs>();
  known.set(one, ofOne);
  const pairs = ofOne.get(other) ?? pairNow(one, other, labels);
  ofOne.set(other, pairs);
  return pairs;
}

/** Words that most members of a repeat have: a label is the counterpart of its like alone. */
export type Labels = ReadonlySet<string>;

const NO_LABELS: Labels = new Set();

/** The pairs by the groups: the first member of a repeat is compared with all others. */
const pairsOf = memoizeByObject((_: Labels) => new WeakMap<GroupLayer, WeakMap<GroupLayer, PartPairs>>());

/** The words that at least half of the members of a repeat have, and two at least. */
export function labelsOf(members: readonly Layer[]): Labels {
  const counts = new Map<string, number>();
  for (const member of members) {
    const texts = walk(member).filter((part) => part.kind === 'text');
    for (const words of new Set(texts.map(wordsOf))) counts.set(words, (counts.get(words) ?? 0) + 1);
  }
  const least = Math.max(2, members.length / 2);
  return new Set([...counts].flatMap(([words, count]) => (count >= least ? [words] : [])));
}

function pairNow(one: GroupLayer, other: GroupLayer, labels: Labels): PartPairs {
  const [ones, others] = [spotsIn(one), spotsIn(other)];
  const isLarge = ones.length * others.length > MOST_COMPARED;
  return isLarge || areSame(ones, others, labels) ? inOrder(ones, others) : aligned(ones, others, labels);
}

/** A part with its place from the top left corner of its group. */
interface Spot {
  readonly layer: Layer;
  readonly box: Box | null;
  readonly words: string;
}

const spotsIn = memoizeByObject((group: GroupLayer): readonly Spot[] => {
  const boxes = group.layers.map((layer) => extentOf(layer, IDENTITY));
  const whole = boxes.reduce<Box | null>((all, box) => (box ? union(all, box) : all), null);
  return group.layers.map((layer, at) => {
    const box = boxes[at];
    return {
      layer,
      box: box && whole ? { ...box, x: box.x - whole.x, y: box.y - whole.y } : null,
      words: layer.kind === 'text' ? wordsOf(layer) : '',
    };
  });
});

/** The box of a layer's geometry; of a text, the start of its first line. */
function extentOf(layer: Layer, around: Matrix): Box | null {
  const own = multiply(around, layer.transform);
  switch (layer.kind) {
    case 'group':
      return layer.layers.reduce<Box | null>((all, part) => {
        const box = extentOf(part, own);
        return box ? union(all, box) : all;
      }, null);
    case 'shape':
      return transformedBox(layer.outline, own);
    case 'bitmap':
      return transformBox(own, layer.box);
    case 'text':
      return startOf(layer, own);
  }
}

function startOf({ lines: [first] }: TextLayer, own: Matrix): Box | null {
  if (!first) return null;
  const x =
    first.x + (first.anchor === 'end' ? first.width : first.anchor === 'middle' ? first.width / 2 : 0);
  return { ...applyTo(own, { x, y: first.baseline }), width: 0, height: 0 };
}

/** True for parts that correspond one by one at their places. */
function areSame(ones: readonly Spot[], others: readonly Spot[], labels: Labels): boolean {
  return (
    ones.length === others.length &&
    ones.every((one, at) => {
      const other = others[at]!;
      return one.layer.kind === other.layer.kind && isAtPlace(one, other) && scoreOf(one, other, labels) > 0;
    })
  );
}

function inOrder(ones: readonly Spot[], others: readonly Spot[]): PartPairs {
  const free = [...others];
  const pairs: (readonly [Layer, Layer])[] = [];
  const onlyOne: Layer[] = [];
  for (const one of ones) {
    const at = free.findIndex(({ layer }) => layer.kind === one.layer.kind);
    const [other] = at < 0 ? [] : free.splice(at, 1);
    if (other) pairs.push([one.layer, other.layer]);
    else onlyOne.push(one.layer);
  }
  return { pairs, onlyOne, onlyOther: free.map(({ layer }) => layer) };
}

/** How far a part stands from its counterpart, px. */
function moveOf(one: Spot, other: Spot): readonly [number, number] | null {
  return one.box && other.box ? [other.box.x - one.box.x, other.box.y - one.box.y] : null;
}

function isSameMove(one: ReturnType<typeof moveOf>, other: ReturnType<typeof moveOf>): boolean {
  return one !== null && other !== null && one.every((side, at) => Math.abs(side - other[at]!) <= SAME_PLACE);
}

/** The most parts in a row that are missing. */
const LONGEST_GAP = 6;

/** A pair at the end of the best chain of pairs that leads to it. */
interface Chained {
  readonly one: number;
  readonly other: number;
  readonly score: number;
  readonly before: Chained | null;
}

/**
 * The pairs in order with the highest score, a global alignment (Needleman and Wunsch, 1970) that also counts
 * whether a pair is moved as the pair before it.
 */
function aligned(ones: readonly Spot[], others: readonly Spot[], labels: Labels): PartPairs {
  const chains: (Chained | null)[][] = [];
  let best: Chained | null = null;
  let bestScore = (ones.length + others.length) * SCORES.gap;
  ones.forEach((spot, one) => {
    chains[one] = others.map((counterpart, other) => {
      const own = scoreOf(spot, counterpart, labels);
      if (own === -Infinity) return null;
      const move = moveOf(spot, counterpart);
      let [score, before]: [number, Chained | null] = [(one + other) * SCORES.gap, null];
      for (let k = Math.max(0, one - LONGEST_GAP); k < one; k++)
        for (let l = Math.max(0, other - LONGEST_GAP); l < other; l++) {
          const last = chains[k]![l];
          if (!last) continue;
          const isMovedAlike = isSameMove(moveOf(ones[k]!, others[l]!), move);
          const gaps = one - k - 1 + other - l - 1;
          const whole = last.score + gaps * SCORES.gap + (isMovedAlike ? SCORES.sameMove : 0);
          if (whole > score) [score, before] = [whole, last];
        }
      const chained: Chained = { one, other, score: score + own, before };
      const left = ones.length - one - 1 + others.length - other - 1;
      if (chained.score + left * SCORES.gap > bestScore)
        [best, bestScore] = [chained, chained.score + left * SCORES.gap];
      return chained;
    });
  });
  return pairsOfChain(best, ones, others);
}

function pairsOfChain(end: Chained | null, ones: readonly Spot[], others: readonly Spot[]): PartPairs {
  const pairs: (readonly [Layer, Layer])[] = [];
  const [paired, counterparts] = [new Set<Layer>(), new Set<Layer>()];
  for (let each = end; each; each = each.before) {
    const [one, other] = [ones[each.one]!.layer, others[each.other]!.layer];
    pairs.unshift([one, other]);
    paired.add(one);
    counterparts.add(other);
  }
  const without = (spots: readonly Spot[], taken: ReadonlySet<Layer>) =>
    spots.flatMap(({ layer }) => (taken.has(layer) ? [] : [layer]));
  return { pairs, onlyOne: without(ones, paired), onlyOther: without(others, counterparts) };
}

function scoreOf(one: Spot, other: Spot, labels: Labels): number {
  if (one.layer.kind !== other.layer.kind) return -Infinity;
  const isNamed = one.layer.sourceName !== null && one.layer.sourceName === other.layer.sourceName;
  const isAlike = partName(one.layer) === partName(other.layer);
  return (
    (isNamed ? SCORES.name : 0) +
    (isAlike ? SCORES.look : SCORES.otherLook) +
    placeScore(one, other) +
    (one.layer.kind === 'text' ? wordScore(one.words, other.words, labels) : 0)
  );
}

function isAtPlace(one: Spot, other: Spot): boolean {
  return placeScore(one, other) === SCORES.place;
}

function placeScore({ box: one }: Spot, { box: other }: Spot): number {
  if (!one || !other) return 0;
  const [across, down] = [Math.abs(one.x - other.x), Math.abs(one.y - other.y)];
  if (across <= SAME_PLACE && down <= SAME_PLACE) return SCORES.place;
  return across <= SAME_PLACE || down <= SAME_PLACE ? SCORES.row : 0;
}

function wordScore(one: string, other: string, labels: Labels): number {
  if (one === other) return SCORES.words;
  if (/\p{N}/u.test(one) !== /\p{N}/u.test(other)) return SCORES.figuresForLetters;
  const shared = sharedShare(one, other);
  if (shared === 0 && (labels.has(one) || labels.has(other))) return SCORES.otherLabel;
  return shared * SCORES.shapeOfWords;
}

/** The share of words that two texts have in common, by their first letters; figures are all alike. 0–1. */
function sharedShare(one: string, other: string): number {
  const [first, second] = [stemsOf(one), stemsOf(other)];
  const shared = [...first].filter((stem) => second.has(stem)).length;
  return shared / Math.max(1, first.size, second.size);
}

function stemsOf(text: string): ReadonlySet<string> {
  const words = text.toLowerCase().match(/\p{L}+|[\p{N}.,:]+|[^\s\p{L}\p{N}]/gu) ?? [];
  return new Set(words.map((word) => (/\p{N}/u.test(word) ? '0' : word.slice(0, 4))));
}

/**
 * The part of a like-built layer that corresponds to a part of another one.
 * @param way the groups from the layer down to the part, the part last
 */
export function counterpart(
  way: readonly Layer[],
  one: Layer,
  other: Layer,
  labels?: Labels,
): LayerId | null {
  const [part, ...further] = way;
  if (!part) return other.id;
  if (one.kind !== 'group' || other.kind !== 'group') return null;
  const pair = pairParts(one, other, labels).pairs.find(([own]) => own === part);
  return pair ? counterpart(further, part, pair[1], labels) : null;
}
