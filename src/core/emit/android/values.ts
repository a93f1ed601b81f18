import { formatNumber } from '../../markup/numbers';
import type { Colour } from '../../mockup/paint';

/** A colour as Android writes it: `#rrggbb`, or `#aarrggbb` where it is translucent (Android, Color state list). */
export function androidColour({ r, g, b, alpha }: Colour): string {
  const hex = (channel: number) => Math.round(channel).toString(16).padStart(2, '0');
  return `#${alpha < 1 ? hex(alpha * 255) : ''}${hex(r)}${hex(g)}${hex(b)}`;
}

/** A length: px of a mockup are dp, as on a screen of medium density (common practice, no source). */
export function dp(length: number): string {
  return `${formatNumber(length, 2)}dp`;
}

/** A size of letters, which follows the reader's own setting. */
export function sp(size: number): string {
  return `${formatNumber(size, 2)}sp`;
}

/** Words as a string resource (Android, String resources, "Handle special characters"). */
export function stringResource(words: string): string {
  const escaped = words
    .replaceAll('\\', '\\\\')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll("'", "\\'")
    .replaceAll('"', '\\"')
    .replaceAll('\n', '\\n')
    .replace(/^([@?])/, '\\$1');
  // White space at the ends, and more than one space, are kept in quotes.
  return /^\s|\s$|\s{2}/.test(words) ? `"${escaped}"` : escaped;
}
