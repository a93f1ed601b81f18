import type { CssRule } from '../../markup/printCss';
import { pageClass } from '../../page/join/names';
import type { Page } from '../../page/frame';
import type { StyleSheet } from '../../style/styleSheet';
import { commonGround } from './base';
import { frameDeclarations } from './frame';
import { namedRules } from './namedRules';

/** How the pages in the flow stand in their windows. */
export interface Frames {
  /** The class of a page beside that of all; null for none. */
  readonly classOf: (page: Page) => string | null;
  readonly rules: readonly CssRule[];
}

/**
 * The rules for the elements of pages in the flow: of a single page, the rule of all screens says it; else each has a
 * class.
 */
export function framesOf({
  pages,
  sheet,
}: {
  readonly pages: readonly Page[];
  readonly sheet: StyleSheet;
}): Frames {
  const common = commonGround(pages);
  const flowing = pages.filter((page) => page.layout && !page.narrow);
  if (flowing.length === 1 && pages.length === 1) {
    const declarations = frameDeclarations(flowing[0]!, common);
    return {
      classOf: () => null,
      rules: declarations.length > 0 ? [{ selector: '.screen', declarations }] : [],
    };
  }
  const taken = new Set([
    ...sheet.classes.map(({ name }) => name),
    ...pages.filter(({ narrow }) => narrow).map(pageClass),
  ]);
  const wishes = flowing.map((page) => ({
    of: page.screen,
    name: pageClass(page),
    said: frameDeclarations(page, common),
  }));
  const { classes, rules } = namedRules(wishes, taken);
  return { classOf: ({ screen }) => classes.get(screen) ?? null, rules };
}
