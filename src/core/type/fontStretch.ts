import type { TextLine } from '../mockup/layer';

/** A share of width by which fonts are set otherwise and still the same. */
const SAME_FONT = 0.015;

/**
 * The stretch that tells of the font that drew a line: 1 where the letters of the measuring font have the drawn width.
 * Exporters measure a line without the white space at its end, and write that width to a text that holds the space,
 * too: its letters are drawn narrower, though no other font is meant.
 */
export function fontStretch({ width, trailingSpace, stretch }: TextLine): number {
  const whole = stretch * (1 + trailingSpace / (width || 1));
  return [stretch, whole].some((each) => Math.abs(each - 1) <= SAME_FONT) ? 1 : stretch;
}
