import { BY_HAND } from '../../../tolerances';
import { boxAround, contains, intersection, type Box } from '../../../../mockup/box';
import { memoizeLast, memoizeByObject } from '../../../../mockup/memoize';
import type { BoxNode, PageNode, TextNode } from '../../../node';
import type { Page } from '../../../frame';
import type { Place } from '../../../place';
import { withChildren } from '../../../mapBoxes';
import { placedBox } from '../../../placed';
import { contentBox } from '../contentBox';
import { touchingIndex } from '../nodeBoxes';
import { innerBox } from '../parts';

import { clipsContent, overlapsPlace, placesOverlap, leavesIn } from './neighbours';
import { applyGrowth, grownPlace, growthsOf, type OutOfFlowLine, type Growth } from './growth';

/**
 * Gives every out-of-flow line a way to grow with its words: where a longer line would run over a neighbour,
 * it grows to another free side, or wraps. Places are px of the screen.
 */
export function growOutOfFlowLines(page: Page): Page {
  const { children, frame } = page;
  if (!children.some(holdsOutOfFlowLine)) return page;
  const seen = frame.edge === 'clipped' ? contentBox(page) : EVERYWHERE;
  const growing = visibleNodes(children, seen).map(({ line, clip }) => growthChoice(line, clip, children));
  const found = new Map(resolveConflicts(growing).map(({ line, ways, at }) => [line, ways[at]] as const));
  const rewrite = (node: PageNode): PageNode => {
    if (isOutOfFlowLine(node)) return withGrowth(node, found.get(node));
    if (node.kind !== 'box' || !boxHoldsOutOfFlowLine(node)) return node;
    return withChildren(node, node.children.map(rewrite));
  };
  return { ...page, children: children.map(rewrite) };
}

function withGrowth(line: OutOfFlowLine, way: Growth | undefined): PageNode {
  return way ? lastGrown(line, Object.values(way), () => applyGrowth(line, way)) : line;
}

const lastGrown = memoizeLast<TextNode, TextNode>();

/** Px beyond all content. */
const FAR_AWAY = 1e6;
const EVERYWHERE: Box = { x: -FAR_AWAY, y: -FAR_AWAY, width: 2 * FAR_AWAY, height: 2 * FAR_AWAY };

function isOutOfFlowLine(node: PageNode): node is OutOfFlowLine {
  return node.kind === 'text' && node.wraps === 'never' && node.place.kind === 'fixed' && !node.hidden;
}

function holdsOutOfFlowLine(node: PageNode): boolean {
  return node.kind === 'box' ? boxHoldsOutOfFlowLine(node) : isOutOfFlowLine(node);
}

const boxHoldsOutOfFlowLine = memoizeByObject(
  (node: BoxNode): boolean => !node.hidden && node.children.some(holdsOutOfFlowLine),
);

interface VisibleNode {
  readonly line: OutOfFlowLine;
  /** The area in which the node is not clipped, px of the screen. */
  readonly clip: Box;
}

function visibleNodes(nodes: readonly PageNode[], within: Box): readonly VisibleNode[] {
  return nodes.flatMap((node): readonly VisibleNode[] => {
    if (isOutOfFlowLine(node)) return [{ line: node, clip: within }];
    if (node.kind !== 'box' || !boxHoldsOutOfFlowLine(node)) return [];
    return visibleNodes(
      node.children,
      clipsContent(node) ? (intersection(within, innerBox(node)) ?? within) : within,
    );
  });
}

/** A line with the growths in which it collides with nothing of fixed length; `at` is the chosen one. */
interface GrowthChoice {
  readonly line: OutOfFlowLine;
  readonly ways: readonly Growth[];
  readonly rooms: readonly Place[];
  readonly at: number;
}

function growthChoice(line: OutOfFlowLine, within: Box, all: readonly PageNode[]): GrowthChoice {
  const own = placedBox(line.place);
  const ways = growthsOf(line).map((way) => ({ way, room: grownPlace(line, way) }));
  const around = boxAround([own, ...ways.map(({ room }) => placedBox(room))]);
  const things = leavesIn(around, all).filter(({ node }) => !isOutOfFlowLine(node));
  const beside = things.filter((thing) => !overlapsPlace(thing, line.place));
  // No more is clipped than is clipped anyway.
  const seen = boxAround([within, own]);
  const free = ways.filter(
    ({ room }) =>
      contains(seen, placedBox(room), BY_HAND.overlap) &&
      beside.every((thing) => !overlapsPlace(thing, room)),
  );
  const grounds = things
    .map(({ node }) => (node.kind === 'text' ? own : placedBox(node.place)))
    .filter((box) => contains(box, own, BY_HAND.overlap));
  const inside = free.filter(({ room }) =>
    grounds.every((ground) => contains(ground, placedBox(room), BY_HAND.overlap)),
  );
  const found = inside.length > 0 ? inside : free;
  return { line, ways: found.map(({ way }) => way), rooms: found.map(({ room }) => room), at: 0 };
}

/** Lines that would collide each take their next growth, as long as they have one. */
function resolveConflicts(lines: readonly GrowthChoice[]): readonly GrowthChoice[] {
  const reaches = lines.map(({ line, rooms }) => boxAround([line.place, ...rooms].map(placedBox)));
  const touching = touchingIndex(reaches);
  const near = reaches.map((reach, at) => touching(reach).filter((other) => other !== at));
  let settled = lines;
  for (;;) {
    const last = settled;
    const next = last.map((each, at) => {
      const room = each.rooms[each.at];
      const isOver = room && near[at]!.some((other) => collides(each, room, last[other]!));
      return isOver ? { ...each, at: each.at + 1 } : each;
    });
    if (next.every((each, at) => each === last[at])) return next;
    settled = next;
  }
}

/** True where a growing line runs over another one, or over that one's collision-free growth. */
function collides({ line }: GrowthChoice, room: Place, other: GrowthChoice): boolean {
  const taken = other.rooms[other.at] ?? other.line.place;
  if (!placesOverlap(room, taken) || placesOverlap(line.place, other.line.place)) return false;
  return placesOverlap(room, other.line.place) || !placesOverlap(taken, line.place);
}
