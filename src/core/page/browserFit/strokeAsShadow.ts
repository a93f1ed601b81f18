import { coloursOf, contrast, edgeContrast, isSeen, PAPER } from '../../look/contrast';
import type { Border, Look, LookFill, LookShadow } from '../../look/look';
import { grow, isOnPx, distanceToWholePx, edgesOf, type Box } from '../../mockup/box';
import { hasRadii, mapRadii, type Radii } from '../../mockup/outline';

interface StrokeShadow {
  readonly box: Box;
  readonly radii?: Radii;
  /** Fills beneath the existing ones. */
  readonly beneath: readonly LookFill[];
  readonly shadows: readonly LookShadow[];
  readonly fillInset?: number;
}

/**
 * Draws a stroked box exactly where a CSS border would not. CSS borders have whole widths at whole px (CSS
 * Backgrounds 3, §3.3), and the fill extends under them; an SVG stroke covers its fill with the inner half
 * only (SVG 2, §13.5.1). Null where a border is as good.
 * @param outer the box around the border
 */
export function strokeAsShadow(outer: Box, { border, fills, radii, shadows }: Look): StrokeShadow | null {
  if (!border || !fills || shadows || border.width < 1) return null;
  if (!isSeenBetween(outer, border, fills) && !isSeenThrough(border, fills)) return null;
  const middle = border.width / 2;
  if (border.colour.alpha < 1) {
    // Two halves have a visible seam around a circle.
    if (isRound(outer, radii) && middle >= 1) {
      const whole = { ...spreadShadow(border.width, border), inset: true };
      return { box: outer, radii, beneath: [], fillInset: middle, shadows: [whole] };
    }
    return strokeHalves(outer, border, radii);
  }
  if (!fills.flatMap(coloursOf).every(({ alpha }) => alpha === 1)) return null;
  if (isAlongPx(outer, border, radii)) return strokeHalves(outer, border, radii);
  // Browsers paint an opaque box's shadow beneath it too, so a square box shows no background between. A
  // round one has
  // a seam, which is less visible than a border that is too thin.
  if (inner(outer, radii, border.width).radii && !isSeen(distanceToWholePx(border.width), 1)) return null;
  const isColour = fills.every((fill) => fill.kind === 'solid');
  const beneath = isColour ? [] : [{ kind: 'solid', colour: border.colour } as const];
  return { ...inner(outer, radii, border.width), beneath, shadows: [spreadShadow(border.width, border)] };
}

/**
 * The same for a transformed box: its edges lie between px, but its border width is rounded before the
 * transform. Null where a border is as good, and where the stroke is translucent.
 */
export function transformedStrokeAsShadow(
  outer: Box,
  { border, fills = [], radii, shadows }: Look,
): StrokeShadow | null {
  if (!border || shadows || !isSeen(distanceToWholePx(border.width), 1)) return null;
  if (![border.colour, ...fills.flatMap(coloursOf)].every(({ alpha }) => alpha === 1)) return null;
  const within = inner(outer, radii, border.width);
  // A spread shadow has no corner where the box has none.
  if (radii && !within.radii?.every(({ x, y }) => x > 0 && y > 0)) return null;
  return { ...within, beneath: [], shadows: [spreadShadow(border.width, border)] };
}

/**
 * The same for a border around content, which no transform can move between px. Null when the border lies on
 * whole px, or its middle does not.
 */
export function contentStrokeAsShadow(
  outer: Box,
  { border, fills = [], radii, shadows }: Look,
): StrokeShadow | null {
  if (!border || shadows || border.width < 1 || fills.some((fill) => fill.kind !== 'solid')) return null;
  return isSeenBetween(outer, border, fills) && isAlongPx(outer, border, radii)
    ? strokeHalves(outer, border, radii)
    : null;
}

/** True for a border whose middle lies on whole px; round boxes have a seam there. */
function isAlongPx(outer: Box, { width }: Border, radii: Radii | undefined): boolean {
  return isOnPx(grow(outer, -width / 2)) && !isRound(outer, radii);
}

/** The stroke as a line on either side of its middle: exact where the middle lies on whole px. */
function strokeHalves(outer: Box, border: Border, radii: Radii | undefined): StrokeShadow {
  const half = spreadShadow(border.width / 2, border);
  const shadows = [{ ...half, inset: true }, half];
  return { ...inner(outer, radii, half.spread), beneath: [], shadows };
}

/** True for a circle or an ellipse. */
function isRound({ width, height }: Box, radii: Radii | undefined): radii is Radii {
  return (
    radii?.every(({ x, y }) => 2 * x >= width - STRAIGHT_SIDE && 2 * y >= height - STRAIGHT_SIDE) ?? false
  );
}

/** Px by which the sides of a round box may be straight. */
const STRAIGHT_SIDE = 0.1;

/** The box inset by that much, with its radii. */
function inner(outer: Box, radii: Radii | undefined, by: number): Pick<StrokeShadow, 'box' | 'radii'> {
  const box = grow(outer, -by);
  const less = (length: number) => Math.max(0, length - by);
  const shrunk = radii && mapRadii(radii, ({ x, y }) => ({ x: less(x), y: less(y) }));
  return shrunk && hasRadii(shrunk) ? { box, radii: shrunk } : { box };
}

function spreadShadow(spread: number, { colour }: Border): LookShadow {
  return { inset: false, dx: 0, dy: 0, deviation: 0, spread, colour };
}

function isSeenBetween(outer: Box, border: Border, fills: readonly LookFill[]): boolean {
  const edges = [outer, grow(outer, -border.width)].flatMap(edgesOf);
  return isSeen(Math.max(...edges.map(distanceToWholePx)), edgeContrast({ border, fills }, PAPER));
}

/** True when the translucent border shows how far the fill reaches. */
function isSeenThrough({ width, colour }: Border, fills: readonly LookFill[]): boolean {
  const beneath = Math.max(...fills.flatMap(coloursOf).map((fill) => contrast(fill, PAPER)));
  return isSeen(Math.min(1, width / 2), (1 - colour.alpha) * beneath);
}
