import { EXACT } from '../tolerances';
import { isPlain, type Border, type Look, type LookShadow, type Sides } from '../../look/look';
import { bottom, grow, right, sameBox } from '../../mockup/box';
import { NO_RADII } from '../../mockup/outline';
import { placedBox } from '../placed';
import type { BoxNode, PageNode } from '../node';
import { hasSemantics } from '../semantics';
import { solidFillOnly } from './solidFill';
import { isLeafBox, THICKEST_SIDE, type Side, SIDES, isUpright } from './edgeBars';
import { shadowOn } from './shapeShadow';

/**
 * Merges several shapes that draw one box: a blurred shape beneath a box becomes its shadow, a frame around
 * it its border, a bar along its edge the border of that side. Children are in drawing order, places are px
 * of the screen.
 */
export function mergeDecorations(children: readonly PageNode[]): readonly PageNode[] {
  const merged: PageNode[] = [];
  for (const child of children) {
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

/**
 * The shadow that a shape beneath the box draws (CSS Backgrounds 3, §7.1.1). An opaque box hides what is
 * under it.
 */
function shadowOf(under: BoxNode, over: BoxNode): LookShadow | null {
  return isOpaque(over.look) ? shadowOn(under, over.place, over.look.radii) : null;
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
    return Math.abs(x - across) <= EXACT && Math.abs(y - down) <= EXACT;
  });
}

/** A bar along the whole of one edge becomes the border of that side. */
function sidesOf(under: BoxNode, over: BoxNode): Sides | null {
  const colour = solidFillOnly(over.look);
  if (!colour || !isSolid(under.look) || under.look.border) return null;
  const [box, bar] = [placedBox(under.place), placedBox(over.place)];
  const near = (one: number, other: number) => Math.abs(one - other) <= EXACT;
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
