import { isEdgeLine, type Look } from '../../look/look';
import { contains, grow, distanceToWholePx, sameBox, type Box } from '../../mockup/box';
import { mapRadii, type Radii } from '../../mockup/outline';
import type { Colour } from '../../mockup/paint';
import { placedBox } from '../placed';
import type { BoxNode, PageNode } from '../node';

/**
 * A clip along the middle of a stroke leaves its inner half. The lowest box then gets a border inside the
 * clip, or, for a fractional width or under other content, an inset shadow. Places are px of the screen.
 */
export function clippedStrokeToBorder(group: BoxNode): BoxNode {
  const [lowest, ...others] = group.children;
  if (!lowest || !isPlainBox(lowest)) return group;
  const stroke = strokeOf(lowest);
  const clip = placedBox(group.place);
  if (!stroke || !sameBox(stroke.middle, clip)) return group;
  const { border: _, shadows: __, radii: ___, ...look } = lowest.look;
  const { width, colour } = stroke;
  // A border would cut off content that overlaps it.
  const inner = grow(clip, -width);
  const isClear = others.every(({ place }) => contains(inner, placedBox(place), 0.01));
  const line: Look =
    distanceToWholePx(width) < 0.01 && isClear
      ? { border: { width: Math.round(width), colour } }
      : { shadows: [{ inset: true, dx: 0, dy: 0, deviation: 0, spread: width, colour }] };
  const radii = group.look.radii ?? stroke.radii;
  const cut = {
    ...lowest,
    place: { ...lowest.place, ...clip },
    look: { ...look, ...line, ...(radii && { radii }) },
  };
  return { ...group, children: [cut, ...others] };
}

/** True for a box with solid colours and without content. */
export function isPlainBox(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || node.children.length > 0 || node.place.linear) return false;
  const { fills = [], fillInset, clip } = node.look;
  return fillInset === undefined && clip === undefined && fills.every(({ kind }) => kind === 'solid');
}

interface MiddleStroke {
  /** The box along the middle of the stroke, with its corners. */
  readonly middle: Box;
  readonly radii: Radii | undefined;
  /** Width of the inner half, px. */
  readonly width: number;
  readonly colour: Colour;
}

/** The stroke around a box: its border, or the spread shadows that replace one. */
function strokeOf({ place, look: { border, shadows = [], radii } }: BoxNode): MiddleStroke | null {
  const box = placedBox(place);
  /** @param by px from the box to the middle of the stroke */
  const half = (by: number, width: number, colour: Colour): MiddleStroke => ({
    middle: grow(box, by),
    radii: radii && mapRadii(radii, ({ x, y }) => ({ x: offsetRadius(x, by), y: offsetRadius(y, by) })),
    width,
    colour,
  });
  if (border && shadows.length === 0) return half(-border.width / 2, border.width / 2, border.colour);
  if (border || shadows.length === 0 || !shadows.every(isEdgeLine)) return null;
  const [first, second] = shadows;
  const { spread, colour } = first!;
  if (!second) return first!.inset ? null : half(spread / 2, spread / 2, colour);
  const areHalves = shadows.length === 2 && first!.inset && !second.inset && spread === second.spread;
  return areHalves ? half(0, spread, colour) : null;
}

/** A radius of the box grown by that much; a sharp corner stays sharp. */
function offsetRadius(radius: number, by: number): number {
  return radius === 0 ? 0 : Math.max(0, radius + by);
}
