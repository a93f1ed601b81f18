import { bottom, boxOf, edgesOf, right, sameBox, type Box } from '../../../mockup/box';
import { memoizeByObject, memoizeLast } from '../../../mockup/memoize';
import { borderInsets } from '../../../look/look';
import type { Page } from '../../frame';
import { withChildren } from '../../mapBoxes';
import type { BoxNode, PageNode } from '../../node';
import { placedBox } from '../../placed';
import { moveNode } from '../../moveNode';
import { BY_HAND } from '../../tolerances';

/** The px by which an edge moves at most: lines and borders reach past some boxes by half their width. */
const MOST = BY_HAND.step;

/** Px: in a smaller box a px is a part that is seen. */
const SMALLEST = 16;

/**
 * Edges that are nearly in line with those of their siblings or of the box around are in line with them, and a box that
 * reaches into its neighbour by a px ends there. Boxes are resized, words and pictures moved. Places are px of the screen.
 */
export function alignNearEdges(page: Page): Page {
  return { ...page, children: aligned(page.children, boxOf(0, 0, page.width, page.height)) };
}

const inside = memoizeByObject((box: BoxNode): BoxNode => {
  const insets = borderInsets(box.look);
  const own = placedBox(box.place);
  const padding = boxOf(
    own.x + insets.left,
    own.y + insets.top,
    right(own) - insets.right,
    bottom(own) - insets.bottom,
  );
  return withChildren(box, aligned(box.children, padding));
});

/** Siblings with their edges in line, and what is in them. */
function aligned(nodes: readonly PageNode[], around: Box): readonly PageNode[] {
  const drawn = nodes.map(({ place }) => placedBox(place));
  const upright = nodes.map(({ place, hidden }) => !place.linear && !hidden);
  const among = drawn.filter((_, at) => upright[at]);
  const targets = edgesOf(around).map((edge, side) => targetsOf(among, side, edge));
  return nodes.map((node, at) => {
    if (!upright[at]) return node;
    const own = drawn[at]!;
    const [left, end, top, below] = edgesOf(own).map((edge, side) => {
      const length = side < 2 ? own.width : own.height;
      return length < SMALLEST ? edge : nearest(edge, targets[side]!);
    }) as [number, number, number, number];
    const placed = withBox(node, apart(boxOf(left, top, end, below), own, among));
    return placed.kind === 'box' ? inside(placed) : placed;
  });
}

/** The edges at a side that several boxes have, the commonest first, behind that of the box around. */
function targetsOf(boxes: readonly Box[], side: number, around: number): readonly number[] {
  const counts = new Map<number, number>();
  for (const box of boxes) {
    const edge = edgesOf(box)[side]!;
    counts.set(edge, (counts.get(edge) ?? 0) + 1);
  }
  const common = [...counts].filter(([, count]) => count > 1).toSorted(([, one], [, other]) => other - one);
  return [around, ...common.map(([edge]) => edge)];
}

function nearest(edge: number, targets: readonly number[]): number {
  return targets.find((target) => Math.abs(target - edge) <= MOST) ?? edge;
}

/** A box that ends where the neighbours begin that it was drawn over by a px. */
function apart(box: Box, drawn: Box, neighbours: readonly Box[]): Box {
  const isOver = (own: number, other: number) => own > other && own - other <= BY_HAND.overlap;
  const below = neighbours.find((each) => each.y > drawn.y && isOver(bottom(drawn), each.y));
  const beside = neighbours.find((each) => each.x > drawn.x && isOver(right(drawn), each.x));
  return boxOf(box.x, box.y, beside ? beside.x : right(box), below ? below.y : bottom(box));
}

const lastPlaced = memoizeLast<PageNode, PageNode>();

/** An unmoved node stays the same object, and a moved one is made once: what is unchanged is not laid out again. */
function withBox(node: PageNode, box: Box): PageNode {
  const own = placedBox(node.place);
  if (sameBox(own, box, 0) || box.width <= 0 || box.height <= 0) return node;
  return lastPlaced(node, edgesOf(box), () =>
    node.kind === 'box' ? { ...node, place: { ...node.place, ...box } } : moveNode(node, box.x - own.x, 0),
  );
}
