import { bottom, boxOf, right, type Box } from '../../../mockup/box';
import { borderInsets } from '../../../look/look';
import type { Page } from '../../frame';
import type { PageNode } from '../../node';
import { placedBox } from '../../placed';
import { moveNode } from '../../states/moveNode';
import { BY_HAND } from '../../tolerances';

/** The px by which an edge moves, none further: lines and borders reach past some boxes by half their width. */
const MOST = BY_HAND.step;

/** Px: of anything smaller a px is a part that is seen. */
const SMALLEST = 16;

/**
 * Edges that are nearly in line with those of their siblings or of the box around are in line with them, and neighbours
 * that overlap by a px touch. Boxes are resized, words and pictures moved. Places are px of the screen.
 */
export function alignNearEdges(page: Page): Page {
  const screen = boxOf(0, 0, page.width, page.height);
  return { ...page, children: aligned(page.children, screen) };
}

function within(node: PageNode): PageNode {
  if (node.kind !== 'box' || node.children.length === 0 || node.place.linear) return node;
  const { top, right: end, bottom: below, left } = borderInsets(node.look);
  const own = placedBox(node.place);
  const inner = boxOf(own.x + left, own.y + top, right(own) - end, bottom(own) - below);
  return { ...node, children: aligned(node.children, inner) };
}

function aligned(nodes: readonly PageNode[], around: Box): readonly PageNode[] {
  const drawn = nodes.map(({ place }) => placedBox(place));
  const isIn = nodes.map(({ place, hidden }) => !place.linear && !hidden);
  const edges = SIDES.map(({ of }) => {
    const values = drawn.map(of);
    const targets = targetsOf(
      values.filter((_, at) => isIn[at]),
      of(around),
    );
    return values.map((value) => nearest(value, targets));
  });
  return nodes.map((node, at) => {
    if (!isIn[at]) return node;
    const own = drawn[at]!;
    const [left, top, end, below] = edges.map((each) => each[at]!) as [number, number, number, number];
    const [isWide, isHigh] = [own.width >= SMALLEST, own.height >= SMALLEST];
    const box = boxOf(
      isWide ? left : own.x,
      isHigh ? top : own.y,
      isWide ? end : right(own),
      isHigh ? below : bottom(own),
    );
    return within(withEdges(node, apart(box, own, drawn)));
  });
}

const SIDES: readonly { readonly of: (box: Box) => number }[] = [
  { of: (box) => box.x },
  { of: (box) => box.y },
  { of: right },
  { of: bottom },
];

/** The edges that several have, most first, with that of the box around before them. */
function targetsOf(values: readonly number[], around: number): readonly number[] {
  const counts = new Map<number, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  const common = [...counts].filter(([, count]) => count > 1).toSorted(([, one], [, other]) => other - one);
  return [around, ...common.map(([value]) => value)];
}

function nearest(value: number, targets: readonly number[]): number {
  return targets.find((target) => Math.abs(target - value) <= MOST) ?? value;
}

/** A box that does not reach into the neighbours that it was drawn over by a px. */
function apart(box: Box, drawn: Box, all: readonly Box[]): Box {
  const isOver = (own: number, other: number) => own > other && own - other <= BY_HAND.overlap;
  const below = all.find((each) => each.y > drawn.y && isOver(bottom(drawn), each.y));
  const beside = all.find((each) => each.x > drawn.x && isOver(right(drawn), each.x));
  return boxOf(box.x, box.y, beside ? beside.x : right(box), below ? below.y : bottom(box));
}

function withEdges(node: PageNode, box: Box): PageNode {
  const own = placedBox(node.place);
  if (node.kind !== 'box') return moveNode(node, box.x - own.x, 0);
  const isSeen = box.width > 0 && box.height > 0;
  return isSeen ? { ...node, place: { ...node.place, ...box } } : node;
}
