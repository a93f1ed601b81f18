import type { Look, LookShadow } from '../../look/look';
import { grow, offPx, sameBox, type Box } from '../../mockup/box';
import { placedBox } from '../lower';
import type { BoxNode, PageNode } from '../node';

/**
 * A clip along the middle of the stroke of the lowest box leaves the stroke's inner half, and of the box what is inside of the
 * clip: a border, or where that would be no whole px, a shadow that falls inside, which browsers draw as thin as it is.
 * Places are those of the screen.
 */
export function withInnerHalf(group: BoxNode): BoxNode {
  const [lowest, ...others] = group.children;
  if (group.look.clip?.kind !== 'box' || !lowest || !isPlainBox(lowest)) return group;
  const stroke = strokeOf(lowest);
  const clip = placedBox(group.place);
  if (!stroke || !sameBox(stroke.middle, clip)) return group;
  const { border: _, shadows: __, radii: ___, ...look } = lowest.look;
  const { width, colour } = stroke;
  const line: Look =
    offPx(width) < 0.01
      ? { border: { width: Math.round(width), colour } }
      : { shadows: [{ inset: true, dx: 0, dy: 0, deviation: 0, spread: width, colour }] };
  const { radii } = group.look;
  const cut = {
    ...lowest,
    place: { ...lowest.place, ...clip },
    look: { ...look, ...line, ...(radii && { radii }) },
  };
  return { ...group, children: [cut, ...others] };
}

/** True for a box of plain colours with nothing in it. */
function isPlainBox(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || node.children.length > 0 || node.place.turn) return false;
  const { fills = [], fillInset, clip } = node.look;
  return fillInset === undefined && clip === undefined && fills.every(({ kind }) => kind === 'solid');
}

interface InnerHalf extends Pick<LookShadow, 'colour'> {
  /** The box along the middle of the stroke. */
  readonly middle: Box;
  /** Of its inner half, px. */
  readonly width: number;
}

/** The stroke around a box: its border, or the lines around and inside of it that stand for one. */
function strokeOf({ place, look: { border, shadows = [] } }: BoxNode): InnerHalf | null {
  const box = placedBox(place);
  if (border)
    return shadows.length > 0
      ? null
      : { middle: grow(box, -border.width / 2), width: border.width / 2, colour: border.colour };
  if (shadows.length === 0 || !shadows.every(isLine)) return null;
  const [first, second] = shadows;
  const { spread, colour } = first!;
  if (!second) return first!.inset ? null : { middle: grow(box, spread / 2), width: spread / 2, colour };
  const areHalves = shadows.length === 2 && first!.inset && !second.inset && spread === second.spread;
  return areHalves ? { middle: box, width: spread, colour } : null;
}

/** True for a shadow that is a line along the edges of its box. */
export function isLine({ deviation, dx, dy }: LookShadow): boolean {
  return deviation === 0 && dx === 0 && dy === 0;
}
