import { boxAround, contains, intersection, type Box } from '../../../../mockup/box';
import { lastMade, rememberOf } from '../../../../mockup/remember';
import type { BoxNode, Page, PageNode, Place, TextNode } from '../../../node';
import { withChildren } from '../../../ofBoxes';
import { placedBox } from '../../../placed';
import { finder } from '../boxesOf';
import { innerBox } from '../parts';
import { TOUCH } from '../things';
import { isCutting, isMet, placesMeet, thingsIn } from './around';
import { goingWay, roomOf, waysOf, type LooseLine, type Way } from './ways';

/**
 * Gives lines that lie loose a way to get longer: where a longer one would run over what is beside it, it grows to another
 * side that is free, or breaks. Places are px of the screen.
 * @param height of all that is on the page, px
 */
export function roomForLooseLines(page: Page, height: number): Page {
  const { children, frame } = page;
  if (!children.some(holdsLooseLine)) return page;
  const seen = frame.edge === 'clipped' ? { x: 0, y: 0, width: page.width, height } : EVERYWHERE;
  const growing = gather(children, seen).map(({ line, within }) => growingLine(line, within, children));
  const found = new Map(settle(growing).map(({ line, ways, at }) => [line, ways[at]] as const));
  const rewrite = (node: PageNode): PageNode => {
    if (isLooseLine(node)) return going(node, found.get(node));
    if (node.kind !== 'box' || !boxHoldsLooseLine(node)) return node;
    return withChildren(node, node.children.map(rewrite));
  };
  return { ...page, children: children.map(rewrite) };
}

function going(line: LooseLine, way: Way | undefined): PageNode {
  return way ? lastGoing(line, Object.values(way), () => goingWay(line, way)) : line;
}

const lastGoing = lastMade<TextNode, TextNode>();

/** Px beyond which nothing is drawn. */
const FAR = 1e6;
const EVERYWHERE: Box = { x: -FAR, y: -FAR, width: 2 * FAR, height: 2 * FAR };

function isLooseLine(node: PageNode): node is LooseLine {
  return node.kind === 'text' && node.wraps === 'never' && node.place.kind === 'fixed' && !node.hidden;
}

function holdsLooseLine(node: PageNode): boolean {
  return node.kind === 'box' ? boxHoldsLooseLine(node) : isLooseLine(node);
}

const boxHoldsLooseLine = rememberOf(
  (node: BoxNode): boolean => !node.hidden && node.children.some(holdsLooseLine),
);

interface Seen {
  readonly line: LooseLine;
  /** What is not cut off where it stands, px of the screen. */
  readonly within: Box;
}

function gather(nodes: readonly PageNode[], within: Box): readonly Seen[] {
  return nodes.flatMap((node): readonly Seen[] => {
    if (isLooseLine(node)) return [{ line: node, within }];
    if (node.kind !== 'box' || !boxHoldsLooseLine(node)) return [];
    return gather(node.children, isCutting(node) ? (intersection(within, innerBox(node)) ?? within) : within);
  });
}

/** A line with the ways to get longer in which it runs over nothing that keeps its length; `at` is the one that it takes. */
interface Growing {
  readonly line: LooseLine;
  readonly ways: readonly Way[];
  readonly rooms: readonly Place[];
  readonly at: number;
}

function growingLine(line: LooseLine, within: Box, all: readonly PageNode[]): Growing {
  const own = placedBox(line.place);
  const ways = waysOf(line).map((way) => ({ way, room: roomOf(line, way) }));
  const around = boxAround([own, ...ways.map(({ room }) => placedBox(room))]);
  const things = thingsIn(around, all).filter(({ node }) => !isLooseLine(node));
  const beside = things.filter((thing) => !isMet(thing, line.place));
  // No more is cut off than is anyway.
  const seen = boxAround([within, own]);
  const free = ways.filter(
    ({ room }) => contains(seen, placedBox(room), TOUCH) && beside.every((thing) => !isMet(thing, room)),
  );
  const grounds = things
    .map(({ node }) => (node.kind === 'text' ? own : placedBox(node.place)))
    .filter((box) => contains(box, own, TOUCH));
  const inside = free.filter(({ room }) =>
    grounds.every((ground) => contains(ground, placedBox(room), TOUCH)),
  );
  const found = inside.length > 0 ? inside : free;
  return { line, ways: found.map(({ way }) => way), rooms: found.map(({ room }) => room), at: 0 };
}

/** Lines that would run over each other each take their next way, as long as they have one. */
function settle(lines: readonly Growing[]): readonly Growing[] {
  const reaches = lines.map(({ line, rooms }) => boxAround([line.place, ...rooms].map(placedBox)));
  const touching = finder(reaches);
  const near = reaches.map((reach, at) => touching(reach).filter((other) => other !== at));
  let settled = lines;
  for (;;) {
    const last = settled;
    const next = last.map((each, at) => {
      const room = each.rooms[each.at];
      const isOver = room && near[at]!.some((other) => runsOver(each, room, last[other]!));
      return isOver ? { ...each, at: each.at + 1 } : each;
    });
    if (next.every((each, at) => each === last[at])) return next;
    settled = next;
  }
}

/** True where a line that gets longer runs over another one, or over what that one grows into without running over it. */
function runsOver({ line }: Growing, room: Place, other: Growing): boolean {
  const taken = other.rooms[other.at] ?? other.line.place;
  if (!placesMeet(room, taken) || placesMeet(line.place, other.line.place)) return false;
  return placesMeet(room, other.line.place) || !placesMeet(taken, line.place);
}
