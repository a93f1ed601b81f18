import { coloursOf, contrast, edgeContrast, isSeen, PAPER } from '../look/contrast';
import type { Border, Look, LookFill, LookShadow } from '../look/look';
import { grow, isOnPx, offPx, edgesOf, type Box } from '../mockup/box';
import { hasRadii, mapRadii, type Radii } from '../mockup/outline';

interface Ringed {
  readonly box: Box;
  readonly radii?: Radii;
  /** What lies under the fills. */
  readonly beneath: readonly LookFill[];
  readonly shadows: readonly LookShadow[];
  readonly fillInset?: number;
}

/** A box whose borders leave nothing of its inside is one in their colour. */
export function drowned({ width, height }: Box, look: Look): Look {
  const { border, fills: _, ...others } = look;
  if (!border || border.colour.alpha < 1 || Math.min(width, height) > 2 * border.width) return look;
  return { ...others, fills: [{ kind: 'solid', colour: border.colour }] };
}

/**
 * What draws a filled box with a stroke as SVG does, where a border would not: CSS borders are whole px wide and lie on
 * whole px (CSS Backgrounds 3, §3.3), and the fill reaches under all of them, where a stroke lies over its fill with the
 * inner half only (SVG 2, §13.5.1). Null where a border is as good.
 * @param outer the box around the border
 */
export function ringOf(outer: Box, { border, fills, radii, shadows }: Look): Ringed | null {
  if (!border || !fills || shadows || border.width < 1) return null;
  if (!isSeenBetween(outer, border, fills) && !isSeenThrough(border, fills)) return null;
  const middle = border.width / 2;
  if (border.colour.alpha < 1) {
    // Two halves have a seam between them, and around a circle that is seen.
    if (isRound(outer, radii) && middle >= 1) {
      const whole = { ...ring(border.width, border), inset: true };
      return { box: outer, radii, beneath: [], fillInset: middle, shadows: [whole] };
    }
    return halvesOf(outer, border, radii);
  }
  if (!fills.flatMap(coloursOf).every(({ alpha }) => alpha === 1)) return null;
  if (isAlongPx(outer, border, radii)) return halvesOf(outer, border, radii);
  // Browsers paint a shadow beneath a square box too, when that hides it: no ground shows between them. Round ones have
  // a seam there, which is less than a border that is too thin.
  if (inner(outer, radii, border.width).radii && !isSeen(offPx(border.width), 1)) return null;
  const isColour = fills.every((fill) => fill.kind === 'solid');
  const beneath = isColour ? [] : [{ kind: 'solid', colour: border.colour } as const];
  return { ...inner(outer, radii, border.width), beneath, shadows: [ring(border.width, border)] };
}

/**
 * The same for a box that is turned: none of its edges lies on whole px, but its borders are whole px wide all the same
 * before it is turned. Null where they are as good, and where the stroke is seen through.
 */
export function turnedRingOf(outer: Box, { border, fills = [], radii, shadows }: Look): Ringed | null {
  if (!border || shadows || !isSeen(offPx(border.width), 1)) return null;
  if (![border.colour, ...fills.flatMap(coloursOf)].every(({ alpha }) => alpha === 1)) return null;
  const within = inner(outer, radii, border.width);
  // Around a corner that is none the shadow has none either.
  if (radii && !within.radii?.every(({ x, y }) => x > 0 && y > 0)) return null;
  return { ...within, beneath: [], shadows: [ring(border.width, border)] };
}

/**
 * The same for a border around content, which no transform can bring to where it is between px; null where it lies on whole
 * px, or its middle does not.
 */
export function contentRingOf(outer: Box, { border, fills = [], radii, shadows }: Look): Ringed | null {
  if (!border || shadows || border.width < 1 || fills.some((fill) => fill.kind !== 'solid')) return null;
  return isSeenBetween(outer, border, fills) && isAlongPx(outer, border, radii)
    ? halvesOf(outer, border, radii)
    : null;
}

/** True for a border whose middle lies on whole px; what is round has a seam there. */
function isAlongPx(outer: Box, { width }: Border, radii: Radii | undefined): boolean {
  return isOnPx(grow(outer, -width / 2)) && !isRound(outer, radii);
}

/** The stroke as a line on either side of its middle: exact where that lies on whole px. */
function halvesOf(outer: Box, border: Border, radii: Radii | undefined): Ringed {
  const half = ring(border.width / 2, border);
  const shadows = [{ ...half, inset: true }, half];
  return { ...inner(outer, radii, half.spread), beneath: [], shadows };
}

/** True for a circle or an ellipse. */
function isRound({ width, height }: Box, radii: Radii | undefined): radii is Radii {
  return radii?.every(({ x, y }) => 2 * x >= width - ROUND && 2 * y >= height - ROUND) ?? false;
}

/** Px by which the sides of what is round may be straight. */
const ROUND = 0.1;

/** The box that much further in. */
function inner(outer: Box, radii: Radii | undefined, by: number): Pick<Ringed, 'box' | 'radii'> {
  const box = grow(outer, -by);
  const less = (length: number) => Math.max(0, length - by);
  const shrunk = radii && mapRadii(radii, ({ x, y }) => ({ x: less(x), y: less(y) }));
  return shrunk && hasRadii(shrunk) ? { box, radii: shrunk } : { box };
}

function ring(spread: number, { colour }: Border): LookShadow {
  return { inset: false, dx: 0, dy: 0, deviation: 0, spread, colour };
}

function isSeenBetween(outer: Box, border: Border, fills: readonly LookFill[]): boolean {
  const edges = [outer, grow(outer, -border.width)].flatMap(edgesOf);
  return isSeen(Math.max(...edges.map(offPx)), edgeContrast({ border, fills }, PAPER));
}

/** Whether one sees through the border how far the fill reaches. */
function isSeenThrough({ width, colour }: Border, fills: readonly LookFill[]): boolean {
  const beneath = Math.max(...fills.flatMap(coloursOf).map((fill) => contrast(fill, PAPER)));
  return isSeen(Math.min(1, width / 2), (1 - colour.alpha) * beneath);
}
