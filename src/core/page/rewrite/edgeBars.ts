import { BY_HAND, EXACT } from '../tolerances';
import { contrast, isSeen, PAPER } from '../../look/contrast';
import { isPlain, type Sides } from '../../look/look';
import { bottom, distanceToWholePx, overlaps, right, type Box } from '../../mockup/box';
import type { Colour } from '../../mockup/paint';
import { placedBox } from '../placed';
import type { BoxNode, PageNode } from '../node';
import { hasSemantics } from '../semantics';
import { solidFillOnly } from './solidFill';

/**
 * Thin bars along whole edges of a group without a look become the group's borders, as in cells of a table.
 * Places are px of the screen.
 */
export function edgeBarsToBorders(group: BoxNode): BoxNode {
  if (!isPlain(group.look)) return group;
  const found = SIDES.flatMap((side) => {
    const bar = group.children.find(
      (child) => isLeafBox(child) && !hasSemantics(child) && isBarAt(child, group, side),
    );
    const colour = bar && solidFillOnly(bar.look);
    return bar && colour && !isSeenOffPx(bar, side, colour) ? [{ side, bar, colour }] : [];
  });
  const isBar = (child: PageNode) => found.some(({ bar }) => bar === child);
  // A border is painted beneath the content, so nothing may lie over the bar.
  const free = found.filter(({ bar, colour }) =>
    group.children.every(
      (child) => child === bar || !meets(child, bar) || (isBar(child) && colour.alpha === 1),
    ),
  );
  const children = group.children.filter((child) => free.every(({ bar }) => bar !== child));
  if (free.length === 0 || children.length === 0) return group;
  const sides: Sides = Object.fromEntries(
    free.map(({ side, bar, colour }) => [side, { width: thickness(bar, side), colour }]),
  );
  const merged = free.flatMap(({ bar }) => [bar.layer, ...(bar.merged ?? [])]);
  return { ...group, merged: [...(group.merged ?? []), ...merged], look: { sides }, children };
}

/**
 * A group that holds only bars along its own edges, clipped at its rounded corners, becomes a rounded box
 * with borders of single sides. Places are px of the screen.
 */
export function clippedBarsToBorders(group: BoxNode): BoxNode {
  const { clip, radii, ...others } = group.look;
  if (clip?.kind !== 'box' || !radii || !isPlain(others) || group.children.length === 0) return group;
  const found = group.children.map((child) => {
    const side = SIDES.find((each) => isLeafBox(child) && isBarAt(child, group, each, THICKEST_SIDE));
    const colour = solidFillOnly(child.look);
    return side && colour && !hasSemantics(child)
      ? ([side, { width: thickness(child, side), colour }] as const)
      : null;
  });
  const bars = found.filter((each) => each !== null);
  const sides: Sides = Object.fromEntries(bars);
  if (bars.length < found.length || Object.keys(sides).length < bars.length) return group;
  const merged = group.children.flatMap(({ layer, merged: more = [] }) => [layer, ...more]);
  return { ...group, merged: [...(group.merged ?? []), ...merged], look: { sides, radii }, children: [] };
}

export const SIDES = ['top', 'right', 'bottom', 'left'] as const;

export type Side = (typeof SIDES)[number];

/** Px: thicker bars are elements of their own. */
const THICKEST_BAR = 2;

/** A group is at least this many times as long as its border is wide. */
const SHORTEST_SIDE = 4;

function isBarAt(
  { place, look }: PageNode,
  { place: around }: BoxNode,
  side: Side,
  thickest = THICKEST_BAR,
): boolean {
  const near = (one: number, other: number) => Math.abs(one - other) <= EXACT;
  const [bar, box] = [placedBox(place), placedBox(around)];
  const colour = solidFillOnly(look);
  // Where thicker bars reach past the corners, it ends a little before them.
  const isEnd = (one: number, other: number) =>
    near(one, other) || (colour !== null && !isSeen(Math.abs(one - other), contrast(colour, PAPER)));
  // A border bar lies along three edges of its group and away from the fourth.
  const isAlong = SIDES.every((each) => {
    if (each === ACROSS[side]) return true;
    const [own, of] = [EDGE_OF[each](bar), EDGE_OF[each](box)];
    return each === side ? near(own, of) : isEnd(own, of) && Math.abs(own - of) <= BY_HAND.overlap;
  });
  const width = thickness({ place }, side);
  const isWhole = near(width, Math.round(width)) && width <= thickest;
  return isAlong && isWhole && thickness({ place: around }, side) >= width * SHORTEST_SIDE;
}

const ACROSS: Readonly<Record<Side, Side>> = {
  top: 'bottom',
  right: 'left',
  bottom: 'top',
  left: 'right',
};

const EDGE_OF: Readonly<Record<Side, (box: Box) => number>> = {
  top: (box) => box.y,
  right,
  bottom,
  left: (box) => box.x,
};

export function isUpright(side: Side): boolean {
  return side === 'left' || side === 'right';
}

/** The size of a node perpendicular to a side, px. */
function thickness({ place }: Pick<PageNode, 'place'>, side: Side): number {
  return isUpright(side) ? place.width : place.height;
}

/** True where a bar lay visibly between two px: browsers put borders at whole px. */
function isSeenOffPx({ place }: PageNode, side: Side, colour: Colour): boolean {
  const edge = isUpright(side) ? place.x : place.y;
  return isSeen(distanceToWholePx(edge), contrast(colour, PAPER));
}

function meets(one: PageNode, other: PageNode): boolean {
  return overlaps(placedBox(one.place), placedBox(other.place), 0);
}

export function isLeafBox(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || node.children.length > 0 || node.place.linear !== null || node.hidden)
    return false;
  // Another decoration would move the end of such fills.
  return node.look.fillInset === undefined;
}

/** Px: thicker bars are boxes of their own. */
export const THICKEST_SIDE = 8;
