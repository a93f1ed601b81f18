import { boxAround, contains, intersection, overlaps, touches, type Box } from '../../../../mockup/box';
import { quadsOverlap } from '../../../../mockup/quad';
import { lastMade, rememberOf } from '../../../../mockup/remember';
import type { BoxNode, Page, PageNode, Place, TextNode } from '../../../node';
import { withChildren } from '../../../ofBoxes';
import { placedBox, placedQuad } from '../../../placed';
import { innerBox } from '../parts';
import { TOUCH } from '../things';
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
    if (node.kind === 'box')
      return boxHoldsLooseLine(node) ? withChildren(node, node.children.map(rewrite)) : node;
    const way = isLooseLine(node) ? found.get(node) : undefined;
    return way
      ? lastGoing(node as LooseLine, [way.from, way.to, way.lines, way.anchor], () =>
          goingWay(node as LooseLine, way),
        )
      : node;
  };
  return { ...page, children: children.map(rewrite) };
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

function isCutting({ look, scroll }: BoxNode): boolean {
  return look.clip !== undefined || scroll !== undefined;
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
  const free = waysOf(line).filter((way) => {
    const room = roomOf(line, way);
    // No more is cut off than is anyway.
    return contains(boxAround([within, own]), placedBox(room), TOUCH) && isFree(room, line, EVERYWHERE, all);
  });
  const grounds = groundsOf(own, all);
  const inside = free.filter((way) => {
    const room = placedBox(roomOf(line, way));
    return grounds.every((ground) => contains(ground, room, TOUCH));
  });
  const ways = inside.length > 0 ? inside : free;
  return { line, ways, rooms: ways.map((way) => roomOf(line, way)), at: 0 };
}

/** The boxes of what a line lies on, from edge to edge. */
function groundsOf(own: Box, nodes: readonly PageNode[]): readonly Box[] {
  return nodes.flatMap((node): readonly Box[] => {
    if (node.kind === 'text' || node.hidden || !overlaps(reachOf(node), own, TOUCH)) return [];
    if (node.kind === 'box' && node.children.length > 0) return groundsOf(own, node.children);
    const box = placedBox(node.place);
    return contains(box, own, TOUCH) ? [box] : [];
  });
}

/** Lines that would run over each other each take their next way, as long as they have one. */
function settle(lines: readonly Growing[]): readonly Growing[] {
  const reaches = lines.map(({ line, rooms }) => boxAround([line.place, ...rooms].map(placedBox)));
  const near = lines.map((_, at) =>
    lines
      .filter((_, other) => other !== at && touches(reaches[at]!, reaches[other]!))
      .map((line) => lines.indexOf(line)),
  );
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

/** True where nothing that keeps its length stands in the room but what the line lies on or over anyway. */
function isFree(room: Place, line: LooseLine, seen: Box, nodes: readonly PageNode[]): boolean {
  const roomBox = placedBox(room);
  return nodes.every((node) => {
    if (node.hidden || isLooseLine(node)) return true;
    const shown = intersection(reachOf(node), seen);
    if (!shown || !overlaps(shown, roomBox, TOUCH)) return true;
    if (node.kind !== 'box' || node.children.length === 0) {
      const isTurned = room.turn !== null || node.place.turn !== null;
      if (isTurned && !placesMeet(node.place, room)) return true;
      return overlaps(shown, placedBox(line.place), TOUCH) && placesMeet(node.place, line.place);
    }
    const inside = isCutting(node) ? intersection(seen, innerBox(node)) : seen;
    return inside === null || isFree(room, line, inside, node.children);
  });
}

function placesMeet(one: Place, other: Place): boolean {
  if (!overlaps(placedBox(one), placedBox(other), TOUCH)) return false;
  return (!one.turn && !other.turn) || quadsOverlap(placedQuad(one), placedQuad(other), TOUCH);
}

/** The box around all that stands in a node. */
function reachOf(node: PageNode): Box {
  return node.kind === 'box' ? boxReach(node) : placedBox(node.place);
}

const boxReach = rememberOf(({ children, place }: BoxNode): Box =>
  children.length > 0 ? boxAround(children.map(reachOf)) : placedBox(place),
);
