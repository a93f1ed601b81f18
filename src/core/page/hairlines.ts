import type { Look } from '../look/look';
import type { Box } from '../mockup/box';
import type { Colour } from '../mockup/paint';

/** What a box and its look become. */
interface Thin {
  readonly box: Box;
  readonly look: Look;
}

/**
 * Borders and bars thinner than a px. Drawing programs paint the px that they lie in paler, and browsers leave them out or
 * draw a whole px at full strength (CSS Backgrounds 3, §3.3, and CSS Values 4, §6.1, snapping as a border width): so
 * they are a px wide, and as pale as they are thin.
 */
export function wholeHairlines({ box, look }: Thin): Thin {
  const { border, fills = [], radii } = look;
  if (border && border.width < 1)
    return {
      box: around(box, border.width),
      look: { ...look, border: { width: 1, colour: paler(border.colour, border.width) } },
    };
  const share = Math.min(1, box.width) * Math.min(1, box.height);
  if (share === 1 || share === 0 || border || radii || look.shadows) return { box, look };
  const solid = fills.flatMap((fill) =>
    fill.kind === 'solid' ? [{ ...fill, colour: paler(fill.colour, share) }] : [],
  );
  if (solid.length !== fills.length) return { box, look };
  const [x, width] = widened(box.x, box.width);
  const [y, height] = widened(box.y, box.height);
  return { box: { x, y, width, height }, look: { ...look, fills: solid } };
}

/** The box of the px in which a thin border lies, side by side. */
function around({ x, y, width, height }: Box, border: number): Box {
  const [left, top] = [pxOf(x, border), pxOf(y, border)];
  const right = pxOf(x + width - border, border) + 1;
  const bottom = pxOf(y + height - border, border) + 1;
  return { x: left, y: top, width: right - left, height: bottom - top };
}

/** The px that most of a thin length lies in. */
function pxOf(start: number, length: number): number {
  return Math.floor(start + length / 2);
}

function widened(start: number, length: number): readonly [number, number] {
  return length < 1 ? [pxOf(start, length), 1] : [start, length];
}

function paler(colour: Colour, share: number): Colour {
  return { ...colour, alpha: colour.alpha * share };
}
