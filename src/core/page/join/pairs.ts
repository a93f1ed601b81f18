import type { Screen } from '../../mockup/mockup';

/** Two screens that show one page at different widths. */
export interface WidthPair {
  readonly wide: Screen;
  readonly narrow: Screen;
}

/** Words and figures by which people tell the widths of one page (common practice, no source). */
const WIDTH_WORDS =
  /(?:^|[\s_@(-]+)(?:\d{3,4}(?:\s*(?:px|w))?(?:\s*[x×]\s*\d{3,4})?|desktop|laptop|tablet|phone|mobile|wide|narrow)\)?$/i;

/** A screen at most this share as wide as another is a narrow version of it. */
const NARROW_SHARE = 0.85;

/**
 * Pairs of screens with one name apart from words and figures for the width: the widest with the narrowest.
 */
export function pairsOf(screens: readonly Screen[]): readonly WidthPair[] {
  const named = new Map<string, Screen[]>();
  for (const screen of screens) {
    const name = nameOfPage(screen.name).toLowerCase();
    named.set(name, [...(named.get(name) ?? []), screen]);
  }
  return [...named.values()].flatMap((same): WidthPair[] => {
    const sorted = [...same].sort((one, other) => other.width - one.width);
    const [wide, narrow] = [sorted[0], sorted.at(-1)];
    return wide && narrow && narrow.width <= wide.width * NARROW_SHARE ? [{ wide, narrow }] : [];
  });
}

/** A screen's name without its width. */
export function nameOfPage(name: string): string {
  return name.trim().replace(WIDTH_WORDS, '').trim();
}

/**
 * The window width up to which the narrow screens are shown, px: the middle between them and the wide ones.
 */
export function widthBetween(pairs: readonly WidthPair[]): number {
  const narrow = Math.max(...pairs.map((pair) => pair.narrow.width));
  const wide = Math.min(...pairs.map((pair) => pair.wide.width));
  return Math.round((narrow + wide) / 2);
}
