import type { Colour } from '../mockup/paint';
import { formatNumber } from './numbers';

/** The colour as CSS writes it: `#rgb`, `#rrggbb`, or `rgb(r g b / a%)`. */
export function printColour({ r, g, b, alpha }: Colour): string {
  if (alpha < 1) return `rgb(${r} ${g} ${b} / ${formatNumber(alpha * 100, 2)}%)`;
  const hex = [r, g, b].map((channel) => channel.toString(16).padStart(2, '0'));
  const short = hex.every((pair) => pair[0] === pair[1]);
  return `#${short ? hex.map((pair) => pair[0]).join('') : hex.join('')}`;
}

/** The colour with its alpha first: `#rrggbb`, or `#aarrggbb` where it is translucent (Android, Color state list). */
export function printArgb({ r, g, b, alpha }: Colour): string {
  const hex = (channel: number) => Math.round(channel).toString(16).padStart(2, '0');
  return `#${alpha < 1 ? hex(alpha * 255) : ''}${hex(r)}${hex(g)}${hex(b)}`;
}

/** The colour without its alpha, for attributes that carry the alpha apart. */
export function printOpaque(colour: Colour): string {
  return printColour({ ...colour, alpha: 1 });
}
