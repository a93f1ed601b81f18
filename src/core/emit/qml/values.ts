import { formatNumber } from '../../markup/numbers';
import type { Colour } from '../../mockup/paint';

/** A colour as QML writes it: `#rrggbb`, or `#aarrggbb` where it is translucent (Qt, QML type `color`). */
export function qmlColour({ r, g, b, alpha }: Colour): string {
  const hex = (channel: number) => Math.round(channel).toString(16).padStart(2, '0');
  return `"#${alpha < 1 ? hex(alpha * 255) : ''}${hex(r)}${hex(g)}${hex(b)}"`;
}

/** Words as a string literal of QML (ECMA-262, §12.9.4). */
export function qmlString(words: string): string {
  return JSON.stringify(words).replace(/[\u2028\u2029]/g, (sign) => `\\u${sign.charCodeAt(0).toString(16)}`);
}

/** A length in device-independent px. */
export function qmlNumber(value: number): string {
  return formatNumber(value);
}

/** A sum of a term and a number, the number left out where it is 0. */
export function qmlSum(term: string, value: number): string {
  const number = qmlNumber(Math.abs(value));
  if (number === '0') return term;
  return value < 0 ? `${term} - ${number}` : `${term} + ${number}`;
}
