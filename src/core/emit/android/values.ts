import { formatNumber } from '../../markup/numbers';

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
  const escaped = escapeWords(words).replace(/^([@?])/, '\\$1');
  // White space at the ends, and more than one space, are kept in quotes.
  return /^\s|\s$|\s{2}/.test(words) ? `"${escaped}"` : escaped;
}

/** Words inside of a string resource. */
export function escapeWords(words: string): string {
  return words
    .replaceAll('\\', '\\\\')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll("'", "\\'")
    .replaceAll('"', '\\"')
    .replaceAll('\n', '\\n');
}
