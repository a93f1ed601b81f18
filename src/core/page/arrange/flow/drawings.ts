import { isPlain } from '../../../look/look';
import { area, bottom, grow, overlaps, right, sameBox, type Box } from '../../../mockup/box';
import { rememberOf } from '../../../mockup/remember';
import { placedBox } from '../../placed';
import type { PageNode } from '../../node';
import { boxesOf } from './boxesOf';
import { ANCHORS, cutBoxes, STRAY } from './cut';
import { hasWords, isBare, TOUCH } from './things';

/** Common practice, no source: of things that lie over each other like cards in a hand at most so much is covered. */
const COVERED = 0.6;

/** True for things of one size beside each other, as avatars, of which each covers a part of the one before it. */
export function isFanned(children: readonly PageNode[]): boolean {
  if (children.length < 2 || !children.some(hasWords)) return false;
  const boxes = children.map((child) => placedBox(child.place));
  const first = boxes[0]!;
  const alike = children.every(({ kind, hidden, place }, at) => {
    const isFlat = kind !== 'text' && !hidden && !place.turn;
    return isFlat && sameBox({ ...boxes[at]!, x: first.x }, first, TOUCH);
  });
  return (
    alike &&
    boxes.slice(1).every((box, at) => {
      const covered = right(boxes[at]!) - box.x;
      return covered > TOUCH && covered <= COVERED * box.width;
    })
  );
}

/** Shapes that lie over each other without a word among them are a drawing: each stands where it was drawn. */
export function isDrawing(children: readonly PageNode[]): boolean {
  if (children.length < 2 || children.some(hasWords)) return false;
  const { boxes, touching } = boxesOf(children);
  return boxes.some((box, at) =>
    touching(at).some((other) => other > at && overlaps(box, boxes[other]!, TOUCH)),
  );
}

/** Common practice, no source: so many things of which so few stand apart are a diagram, and no layout. */
const MANY = 8;
const APART = 1 / 3;

/** A diagram, with words in it or not: each of its things stands where it was drawn. */
export function isDiagram(apart: number, all: number): boolean {
  return all >= MANY && apart <= all * APART;
}

/** A part of a diagram, with all that is in it. */
export const asDrawn = rememberOf((node: PageNode): PageNode => {
  if (node.kind !== 'box') return { ...node, drawn: true };
  return { ...node, drawn: true, children: node.children.map((child) => asDrawn(child)) };
});

/** Px by which a line may end before the thing that it leads to. */
const SHORT = 2;
/** So few lines that lead from one thing to another are ornaments. */
const FEW_LINES = 2;

/** Things with lines from one to another, over each other's places: a diagram, however few they are. */
export function isNetwork(children: readonly PageNode[]): boolean {
  const lines = children.filter(isConnector);
  if (lines.length < FEW_LINES) return false;
  const things = children
    .filter((child) => hasWords(child) && !lines.includes(child))
    .map(({ place }) => placedBox(place));
  const joins = ({ place }: PageNode) => {
    const reach = grow(placedBox(place), SHORT);
    return things.filter((thing) => overlaps(reach, thing, 0)).length > 1;
  };
  return lines.filter(joins).length >= FEW_LINES && cutBoxes(boxesOf(children).cores) === null;
}

/** True for the picture of a line, alone or with its label in a group. */
function isConnector(node: PageNode): boolean {
  if (node.kind !== 'box') return node.kind === 'picture' && node.lines === true;
  if (!isPlain(node.look)) return false;
  const most = area(placedBox(node.place)) / 2;
  return node.children.some((child) => isConnector(child) && area(placedBox(child.place)) >= most);
}

/** Fewer things than that stand somewhere by chance. */
const FEW_POINTS = 5;
/** Single things of which most stand in line with no other, across or down: each at its coordinates, as the points of a chart. */
export function isPlot(children: readonly PageNode[]): boolean {
  if (children.length < FEW_POINTS || !children.every((child) => child.kind === 'text' || isBare(child)))
    return false;
  const boxes = children.map(({ place }) => placedBox(place));
  const inLine = new Set(LINES.flatMap((line) => sharing(boxes.map(line))));
  return (boxes.length - inLine.size) * 2 > boxes.length;
}

/** Where things may stand in line, across and down. */
const LINES: readonly ((box: Box) => number)[] = [
  ...ANCHORS,
  ({ y }) => y,
  ({ y, height }) => y + height / 2,
  bottom,
];

/** The places in a list of lengths that are within a stray of another one. */
function sharing(lengths: readonly number[]): readonly number[] {
  const order = lengths.map((_, at) => at).toSorted((one, other) => lengths[one]! - lengths[other]!);
  return order.slice(1).flatMap((next, at) => {
    const last = order[at]!;
    return lengths[next]! - lengths[last]! <= STRAY ? [last, next] : [];
  });
}
