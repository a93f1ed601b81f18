import type { Colour } from '../mockup/paint';
import type { Look, LookFill } from './look';

/** The background colour where none is known. */
export const PAPER: Colour = { r: 255, g: 255, b: 255, alpha: 1 };

/** Lightness of a colour, 0–1: its luma by ITU-R BT.601. */
export function lightness({ r, g, b }: Colour): number {
  return (0.299 * r + 0.587 * g + 0.114 * b) / 255;
}

/** How much the colour changes the lightness of a background that it is painted over, 0–1. */
export function contrast(colour: Colour, ground: Colour): number {
  return colour.alpha * Math.abs(lightness(colour) - lightness(ground));
}

/** The colours that a fill is made of. */
export function coloursOf(fill: LookFill): readonly Colour[] {
  return fill.kind === 'solid' ? [fill.colour] : fill.stops.map(({ colour }) => colour);
}

/** The contrast between the background and what the look paints along its edge, 0–1. */
export function edgeContrast({ border, fills = [], shadows = [] }: Look, ground: Colour): number {
  const rings = shadows.filter(({ deviation }) => deviation === 0).map(({ colour }) => colour);
  const lines = border ? [border.colour, ...rings] : rings;
  const inside = fills.flatMap(coloursOf);
  const over = [...lines, ...inside].map((colour) => contrast(colour, ground));
  // A line in the colour of the background still differs from the fill that it surrounds.
  const between = lines.flatMap((line) =>
    inside.map((fill) => line.alpha * Math.abs(lightness(line) - lightness(fill))),
  );
  return Math.max(0, ...over, ...between);
}

/**
 * True when an edge that is off by a share of a px is visible. A change of lightness of 0.1 is where the
 * proof begins to count (pixelmatch, threshold 0.1: 0.5053·ΔY² > 0.01·35215 of 255 steps).
 */
export function isSeen(off: number, strength: number): boolean {
  return off * strength > 0.1;
}
