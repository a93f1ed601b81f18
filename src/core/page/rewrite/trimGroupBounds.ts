import { isPlain } from '../../look/look';
import { bottom, boxAround, grow, right, type Box } from '../../mockup/box';
import { memoizeLast } from '../../mockup/memoize';
import { placedBox } from '../placed';
import type { Page } from '../frame';
import type { PageNode } from '../node';
import type { Place } from '../place';
import { withChildren } from '../mapBoxes';

/**
 * Trims groups without a look to the screen's sides and to the bounds of their content, ignoring half lines
 * and stray specks. Anything drawn past those bounds overflows its group and does not shift the other
 * content. Places are px of the screen.
 */
export function trimGroupBounds(page: Page): Page {
  return { ...page, children: page.children.map((node) => trim(node, page.width)) };
}

const lastTrimmed = memoizeLast<PageNode, PageNode>();

function trim(node: PageNode, width: number): PageNode {
  if (node.kind !== 'box' || node.place.linear) return node;
  return lastTrimmed(node, [width], () => {
    const children = node.children.map((child) => trim(child, width));
    const isGroup = isPlain(node.look) && children.length > 0;
    const place = isGroup ? trimmedPlace(node.place, children, width) : node.place;
    const trimmed = withChildren(node, children);
    return place === node.place ? trimmed : { ...trimmed, place };
  });
}

function trimmedPlace(place: Place, children: readonly PageNode[], width: number): Place {
  const things = withoutStrays(children);
  const tight = things.length === children.length ? place : { ...place, ...boxAround(things.map(boxOfNode)) };
  return withoutLines(within(tight, width), things);
}

function boxOfNode({ place }: PageNode): Box {
  return placedBox(place);
}

/** Px: a node no larger on either axis is a speck. */
const SPECK = 6;
/** Px by which a stray speck stands off on both axes. */
const SPECK_DISTANCE = 8;

/** The children without specks that stand off from all others on both axes. */
function withoutStrays(children: readonly PageNode[]): readonly PageNode[] {
  const things = children.filter((child) => !isSpeck(child));
  if (things.length === 0 || things.length === children.length) return children;
  const near = grow(boxAround(things.map(boxOfNode)), SPECK_DISTANCE);
  const isStray = (box: Box) =>
    (right(box) < near.x || box.x > right(near)) && (bottom(box) < near.y || box.y > bottom(near));
  return children.filter((child) => !isSpeck(child) || !isStray(boxOfNode(child)));
}

function isSpeck(node: PageNode): boolean {
  return node.kind !== 'text' && Math.max(node.place.width, node.place.height) <= SPECK;
}

function within(place: Place, width: number): Place {
  const box = placedBox(place);
  const [from, to] = [Math.max(0, box.x), Math.min(width, right(box))];
  const isOff = to <= from || (from === box.x && to === right(box));
  return isOff ? place : { ...place, x: from, width: to - from };
}

/** Px: thinner nodes are lines. */
const WIDEST_LINE = 2;
/** Px by which a line on an edge overhangs: half of it, and the rounding error. */
const HALF_LINE = 0.51;

function withoutLines(place: Place, children: readonly PageNode[]): Place {
  const isLine = (node: PageNode) =>
    node.kind === 'box' &&
    node.children.length === 0 &&
    Math.min(node.place.width, node.place.height) <= WIDEST_LINE;
  const things = children.filter((child) => !isLine(child));
  if (things.length === 0) return place;
  const box = placedBox(place);
  const inside = boxAround(things.map(boxOfNode));
  const end = (edge: number, wanted: number) => (Math.abs(edge - wanted) <= HALF_LINE ? wanted : edge);
  const [x, y] = [end(box.x, inside.x), end(box.y, inside.y)];
  const [width, height] = [end(right(box), right(inside)) - x, end(bottom(box), bottom(inside)) - y];
  return { ...place, x, y, width, height };
}
