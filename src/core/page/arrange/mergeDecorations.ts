import { contrast, isSeen, PAPER } from '../../look/contrast';
import { isPlain, type Border, type Look, type LookShadow, type Sides } from '../../look/look';
import { bottom, grow, distanceToWholePx, overlaps, right, sameBox, type Box } from '../../mockup/box';
import { NO_RADII } from '../../mockup/outline';
import type { Colour } from '../../mockup/paint';
import { placedBox } from '../placed';
import type { BoxNode, PageNode } from '../node';
import { frameBarsToBorder } from './frameBars';
import { hasSemantics } from './semantics';
import { solidFillOnly } from './solidFill';

/**
 * Merges several shapes that draw one box: a blurred shape beneath a box becomes its shadow, a frame around
 * it its border, a bar along its edge the border of that side. Children are in drawing order, places are px
 * of the screen.
 */
export function mergeDecorations(children: readonly PageNode[]): readonly PageNode[] {
  const merged: PageNode[] = [];
  for (const child of frameBarsToBorder(children)) {
    let top = child;
    for (let under = merged.at(-1); under; under = merged.at(-1)) {
      const coat = isLeafBox(under) && isLeafBox(top) ? mergeTwo(under, top) : null;
      if (!coat) break;
      merged.pop();
      top = coat;
    }
    merged.push(top);
  }
  return merged;
}

/**
 * Thin bars along whole edges of a group without a look become the group's borders, as in cells of a table.
 * Places are px of the screen.
 */
export function edgeBarsToBorders(group: BoxNode): BoxNode {
  if (!isPlain(group.look) || group.place.linear || group.children.length < 2) return group;
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

const SIDES = ['top', 'right', 'bottom', 'left'] as const;
type Side = (typeof SIDES)[number];

/** Px: thicker bars are elements of their own. */
const THICKEST_BAR = 2;
/** A group is at least this many times as long as its border is wide. */
const SHORTEST_SIDE = 4;

function isBarAt(
  { place }: PageNode,
  { place: around }: BoxNode,
  side: Side,
  thickest = THICKEST_BAR,
): boolean {
  const near = (one: number, other: number) => Math.abs(one - other) <= EDGE_TOLERANCE;
  const [bar, box] = [placedBox(place), placedBox(around)];
  // A border bar lies along three edges of its group and away from the fourth.
  const isAlong = SIDES.every(
    (each) => each === ACROSS[side] || near(EDGE_OF[each](bar), EDGE_OF[each](box)),
  );
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

function isUpright(side: Side): boolean {
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

function isLeafBox(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || node.children.length > 0 || node.place.linear !== null || node.hidden)
    return false;
  // Another decoration would move the end of such fills.
  return node.look.fillInset === undefined;
}

function mergeTwo(under: BoxNode, over: BoxNode): BoxNode | null {
  if (!hasSemantics(under)) {
    const shadow = shadowOf(under, over);
    if (shadow) return absorb(over, under, { shadows: [...(over.look.shadows ?? []), shadow] });
  }
  if (hasSemantics(over)) return null;
  const frame = frameOf(under, over);
  if (frame) return { ...absorb(under, over, { border: frame }), place: over.place };
  const sides = sidesOf(under, over) ?? cornersOf(under, over);
  return sides && absorb(under, over, { sides: { ...under.look.sides, ...sides } });
}

function absorb(box: BoxNode, coat: BoxNode, look: Look): BoxNode {
  return {
    ...box,
    merged: [...(box.merged ?? []), coat.layer, ...(coat.merged ?? [])],
    look: { ...box.look, ...look },
  };
}

/** Px by which the spread may differ between the axes, and the corners from those of the box. */
const SPREAD_TOLERANCE = 0.5;
const CORNER_TOLERANCE = 2;

/**
 * The shadow that a shape beneath the box draws (CSS Backgrounds 3, §7.1.1). An opaque box hides what is
 * under it.
 */
function shadowOf(under: BoxNode, over: BoxNode): LookShadow | null {
  return isOpaque(over.look) ? shadowOn(under, over.place, over.look.radii) : null;
}

/** Px: a sharp shape that sticks out further is an element of its own. */
const FARTHEST_SHADOW = 12;
/** The strongest sharp shadow, as contrast, whose corner radii are invisible. */
const FAINT_SHADOW = 0.2;

/**
 * The shadow that a shape draws beneath a box, blurred or slightly offset; null when the shape is no shadow.
 */
export function shadowOn(under: BoxNode, box: Box, radii = NO_RADII): LookShadow | null {
  const { filters = [], fills = [], opacity = 1, radii: corners = NO_RADII, ...others } = under.look;
  const [[blur], [fill]] = [filters, fills];
  if (filters.length > 1 || (blur && blur.kind !== 'blur')) return null;
  if (fill?.kind !== 'solid' || fills.length > 1 || !isPlain(others)) return null;
  const shade = under.place;
  const spread = (shade.width - box.width) / 2;
  if (Math.abs(spread - (shade.height - box.height) / 2) > SPREAD_TOLERANCE) return null;
  const shadow = {
    inset: false,
    dx: shade.x + shade.width / 2 - box.x - box.width / 2,
    dy: shade.y + shade.height / 2 - box.y - box.height / 2,
    deviation: blur?.deviation ?? 0,
    spread: Math.abs(spread) < 0.01 ? 0 : spread,
    colour: { ...fill.colour, alpha: fill.colour.alpha * opacity },
  };
  const own = radii[0].x;
  const off = Math.abs(corners[0].x - (own > 0 ? Math.max(0, own + spread) : 0));
  const isSharp = !blur && shadow.colour.alpha > FAINT_SHADOW;
  return off <= (isSharp ? EDGE_TOLERANCE : CORNER_TOLERANCE) && (blur || isNear(shadow)) ? shadow : null;
}

/** True for a sharp shadow close enough to read as one: around the box, or slightly beside it. */
function isNear({ dx, dy, spread }: LookShadow): boolean {
  const reach = Math.max(Math.abs(dx), Math.abs(dy)) + spread;
  return spread >= 0 && reach > EDGE_TOLERANCE && reach <= FARTHEST_SHADOW;
}

function isOpaque({ fills, opacity, blend, filters, clip }: Look): boolean {
  const solid = fills?.some((fill) => fill.kind === 'solid' && fill.colour.alpha === 1) ?? false;
  return solid && opacity === undefined && !blend && !filters && !clip;
}

/** A frame of the same box, or of one larger by half the frame's width, becomes the box's border. */
function frameOf(under: BoxNode, over: BoxNode): Border | null {
  const { border, radii, ...others } = over.look;
  if (
    !border ||
    Object.keys(others).length > 0 ||
    !isSolid(under.look) ||
    under.look.border ||
    under.look.sides
  )
    return null;
  const alike = JSON.stringify(radii ?? NO_RADII) === JSON.stringify(under.look.radii ?? NO_RADII);
  const halfIn = (half: number) => sameBox(grow(placedBox(under.place), half), placedBox(over.place));
  return alike && (halfIn(0) || (border.colour.alpha === 1 && halfIn(border.width / 2))) ? border : null;
}

/** CSS paints gradients from inside the border: only solid fills stay unchanged. */
function isSolid({ fills, opacity, filters, blend, clip }: Look): boolean {
  const dressed = opacity !== undefined || filters !== undefined || blend !== undefined || clip !== undefined;
  return !dressed && fills !== undefined && fills.every((fill) => fill.kind === 'solid');
}

/** Borders of single sides of the same rounded box become borders of the box. */
function cornersOf(under: BoxNode, over: BoxNode): Sides | null {
  const { sides, radii, ...others } = over.look;
  const isBare = isSolid(under.look) && !under.look.border && !under.look.sides;
  const isSame = areNear(radii, under.look.radii) && sameBox(placedBox(under.place), placedBox(over.place));
  return sides && isPlain(others) && isBare && isSame ? sides : null;
}

function areNear(one = NO_RADII, other = NO_RADII): boolean {
  return one.every(({ x, y }, at) => {
    const { x: across, y: down } = other[at]!;
    return Math.abs(x - across) <= EDGE_TOLERANCE && Math.abs(y - down) <= EDGE_TOLERANCE;
  });
}

/** Px: thicker bars are boxes of their own. */
const THICKEST_SIDE = 8;
const EDGE_TOLERANCE = 0.02;

/** A bar along the whole of one edge becomes the border of that side. */
function sidesOf(under: BoxNode, over: BoxNode): Sides | null {
  const colour = solidFillOnly(over.look);
  if (!colour || !isSolid(under.look) || under.look.border) return null;
  const [box, bar] = [placedBox(under.place), placedBox(over.place)];
  const near = (one: number, other: number) => Math.abs(one - other) <= EDGE_TOLERANCE;
  const across = near(bar.x, box.x) && near(right(bar), right(box)) && bar.height <= THICKEST_SIDE;
  const down = near(bar.y, box.y) && near(bottom(bar), bottom(box)) && bar.width <= THICKEST_SIDE;
  if (across && bar.height * 2 >= box.height) return null;
  if (down && bar.width * 2 >= box.width) return null;
  const { sides, radii = NO_RADII } = under.look;
  const isAlong: Readonly<Record<Side, boolean>> = {
    top: across && near(bar.y, box.y),
    right: down && near(right(bar), right(box)),
    bottom: across && near(bottom(bar), bottom(box)),
    left: down && near(bar.x, box.x),
  };
  const along = SIDES.find((side) => isAlong[side] && !sides?.[side]);
  if (!along || CORNERS_OF[along].some((corner) => radii[corner].x > 0)) return null;
  return { [along]: { width: isUpright(along) ? bar.width : bar.height, colour } };
}

/** The indices in `Radii` of the corners at the ends of a side. */
const CORNERS_OF = { top: [0, 1], right: [1, 2], bottom: [2, 3], left: [3, 0] } as const;
