import { BY_HAND } from '../../tolerances';
import { isPlain } from '../../../look/look';
import { area, bottom, grow, overlaps, right, sameBox, type Box } from '../../../mockup/box';
import { memoizeByObject } from '../../../mockup/memoize';
import { placedBox } from '../../placed';
import type { PageNode } from '../../node';
import { nodeBoxes } from './nodeBoxes';
import { ANCHORS, xyCut } from './xyCut';
import { hasWords, isLeafWithoutText } from './nodePredicates';

/** Common practice, no source: the largest covered share of parts that overlap like cards in a hand. */
const MOST_COVERED = 0.6;

/** True for parts of one size in a row, each covering a part of the one before, as avatars do. */
export function isOverlappingRow(children: readonly PageNode[]): boolean {
  if (children.length < 2 || !children.some(hasWords)) return false;
  const boxes = children.map((child) => placedBox(child.place));
  const first = boxes[0]!;
  const alike = children.every(({ kind, hidden, place }, at) => {
    const isFlat = kind !== 'text' && !hidden && !place.linear;
    return isFlat && sameBox({ ...boxes[at]!, x: first.x }, first, BY_HAND.overlap);
  });
  return (
    alike &&
    boxes.slice(1).every((box, at) => {
      const covered = right(boxes[at]!) - box.x;
      return covered > BY_HAND.overlap && covered <= MOST_COVERED * box.width;
    })
  );
}

/** True for overlapping shapes without words: a drawing whose parts keep their coordinates. */
export function isDrawing(children: readonly PageNode[]): boolean {
  if (children.length < 2 || children.some(hasWords)) return false;
  const { boxes, touching } = nodeBoxes(children);
  return boxes.some((box, at) =>
    touching(at).some((other) => other > at && overlaps(box, boxes[other]!, BY_HAND.overlap)),
  );
}

/** Common practice, no source: this many parts, of which at most this share is separate, are a diagram. */
const MANY_PARTS = 8;
const APART_SHARE = 1 / 3;

/** True for a diagram, with or without words: its parts keep their coordinates. */
export function isDiagram(apart: number, all: number): boolean {
  return all >= MANY_PARTS && apart <= all * APART_SHARE;
}

/** Marks a part of a diagram, with all of its content. */
export const keepAsDrawn = memoizeByObject((node: PageNode): PageNode => {
  if (node.kind !== 'box') return { ...node, keepsPlace: true };
  return { ...node, keepsPlace: true, children: node.children.map((child) => keepAsDrawn(child)) };
});

/** Px by which a connector may end before the part that it leads to. */
const CONNECTOR_GAP = 2;
/** Fewer connectors are ornaments. */
const FEWEST_CONNECTORS = 2;

/** True for parts with connectors between them over other parts' places: a diagram of any size. */
export function isNetwork(children: readonly PageNode[]): boolean {
  const lines = children.filter(isConnector);
  if (lines.length < FEWEST_CONNECTORS) return false;
  const things = children
    .filter((child) => hasWords(child) && !lines.includes(child))
    .map(({ place }) => placedBox(place));
  const joins = ({ place }: PageNode) => {
    const reach = grow(placedBox(place), CONNECTOR_GAP);
    return things.filter((thing) => overlaps(reach, thing, 0)).length > 1;
  };
  return lines.filter(joins).length >= FEWEST_CONNECTORS && xyCut(nodeBoxes(children).cores) === null;
}

/** True for the picture of a line, alone or grouped with its label. */
function isConnector(node: PageNode): boolean {
  if (node.kind !== 'box') return node.kind === 'picture' && node.isConnector === true;
  if (!isPlain(node.look)) return false;
  const most = area(placedBox(node.place)) / 2;
  return node.children.some((child) => isConnector(child) && area(placedBox(child.place)) >= most);
}

/** Fewer points may be unaligned by chance. */
const FEWEST_POINTS = 5;

/** True for single parts of which most align with no other on either axis, as the points of a chart. */
export function isPlot(children: readonly PageNode[]): boolean {
  if (
    children.length < FEWEST_POINTS ||
    !children.every((child) => child.kind === 'text' || isLeafWithoutText(child))
  )
    return false;
  const boxes = children.map(({ place }) => placedBox(place));
  const inLine = new Set(ALIGNMENTS.flatMap((line) => sharedLengths(boxes.map(line))));
  return (boxes.length - inLine.size) * 2 > boxes.length;
}

/** The anchors of a box on both axes. */
const ALIGNMENTS: readonly ((box: Box) => number)[] = [
  ...ANCHORS,
  ({ y }) => y,
  ({ y, height }) => y + height / 2,
  bottom,
];

/** The indices of lengths that lie within tolerance of another one. */
function sharedLengths(lengths: readonly number[]): readonly number[] {
  const order = lengths.map((_, at) => at).toSorted((one, other) => lengths[one]! - lengths[other]!);
  return order.slice(1).flatMap((next, at) => {
    const last = order[at]!;
    return lengths[next]! - lengths[last]! <= BY_HAND.size ? [last, next] : [];
  });
}
