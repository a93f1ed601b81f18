import { converter, parse } from 'culori';

/** A colour in OKLCH (CSS Color 4, §9.4): lightness and alpha 0–1, hue in degrees. */
export interface Oklch {
  readonly lightness: number;
  readonly chroma: number;
  readonly hue: number;
  readonly alpha: number;
}

/** Colours with less chroma count as neutral (common practice, no source). */
const NEUTRAL = 0.05;

/** The words for hues by the degrees where they end (common practice, no source). */
const HUES: readonly (readonly [end: number, word: string])[] = [
  [15, 'pink'],
  [45, 'red'],
  [85, 'orange'],
  [115, 'yellow'],
  [165, 'green'],
  [215, 'teal'],
  [275, 'blue'],
  [325, 'violet'],
  [360, 'pink'],
];

const toOklch = converter('oklch');

/** A colour as CSS writes it; null for none. */
export function oklchOf(value: string): Oklch | null {
  const colour = toOklch(parse(value));
  if (!colour) return null;
  const { l: lightness, c: chroma, h: hue = 0, alpha = 1 } = colour;
  return { lightness, chroma, hue, alpha };
}

export function isNeutral({ chroma }: Oklch): boolean {
  return chroma < NEUTRAL;
}

export function hueWord({ hue, lightness }: Oklch): string {
  const word = HUES.find(([end]) => hue <= end)?.[1] ?? 'pink';
  return word === 'orange' && lightness < 0.55 ? 'brown' : word;
}
