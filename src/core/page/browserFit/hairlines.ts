import type { Look } from '../../look/look';
import type { Box } from '../../mockup/box';
import type { Colour } from '../../mockup/paint';

/** A box with its look. */
interface BoxAndLook {
  readonly box: Box;
  readonly look: Look;
}

/**
 * Makes borders and bars thinner than a px one px wide and paler in proportion. Drawing programs antialias
 * them; browsers omit them or draw a full px at full strength (CSS Backgrounds 3, §3.3, and CSS Values 4,
 * §6.1, snapping as a border width).
 */
export function widenHairlines({ box, look }: BoxAndLook): BoxAndLook {
  const { border, fills = [], radii } = look;
  if (border && border.width < 1)
    return {
      box: around(box, border.width),
      look: { ...look, border: { width: 1, colour: paler(border.colour, border.width) } },
    };
  const share = Math.min(1, box.width) * Math.min(1, box.height);
  if (share === 1 || share === 0 || fills.length === 0 || border || radii || look.shadows)
    return { box, look };
  const solid = fills.flatMap((fill) =>
    fill.kind === 'solid' ? [{ ...fill, colour: paler(fill.colour, share) }] : [],
  );
  if (solid.length !== fills.length) return { box, look };
  const [x, width] = wholePxSpan(box.x, box.width);
  const [y, height] = wholePxSpan(box.y, box.height);
  return { box: { x, y, width, height }, look: { ...look, fills: solid } };
}

/** The box around the whole px in which a thin border lies, side by side. */
function around({ x, y, width, height }: Box, border: number): Box {
  const [left, top] = [pxOf(x, border), pxOf(y, border)];
  const right = pxOf(x + width - border, border) + 1;
  const bottom = pxOf(y + height - border, border) + 1;
  return { x: left, y: top, width: right - left, height: bottom - top };
}

/** The px that covers most of a thin length. */
function pxOf(start: number, length: number): number {
  return Math.floor(start + length / 2);
}

function wholePxSpan(start: number, length: number): readonly [number, number] {
  return length < 1 ? [pxOf(start, length), 1] : [start, length];
}

function paler(colour: Colour, share: number): Colour {
  return { ...colour, alpha: colour.alpha * share };
}
