import type { Screen } from '../../mockup/mockup';
import type { Page } from '../frame';
import { joinChildren } from './joinNodes';
import { nameOfPage, pairsOf, widthBetween } from './pairs';

/**
 * The pages, with those of one name and different widths as one. It takes the place of the wide page and
 * holds the differences of the narrow one. Only pages in the flow can be joined.
 */
export function joinPages(pages: readonly Page[], screens: readonly Screen[]): readonly Page[] {
  const pairs = pairsOf(screens);
  const below = widthBetween(pairs);
  const of = (key: string) => pages.find((page) => page.screen === key && page.layout);
  return pages.flatMap((page): readonly Page[] => {
    const pair = pairs.find(({ wide, narrow }) => [wide.id, narrow.id].includes(page.screen));
    const [wide, narrow] = pair ? [of(pair.wide.id), of(pair.narrow.id)] : [];
    if (!wide || !narrow) return [page];
    if (page === narrow) return [];
    const { children, ...others } = narrow;
    const name = nameOfPage(wide.name);
    return [{ ...wide, name, children: joinChildren(wide.children, children), narrow: { ...others, below } }];
  });
}

/** The page that shows a screen. */
export function pageOfScreen(pages: readonly Page[], screen: string): Page | undefined {
  return pages.find((page) => page.screen === screen || page.narrow?.screen === screen);
}
