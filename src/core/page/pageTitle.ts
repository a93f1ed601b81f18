import type { Page } from './frame';
import { nodeWords, type TextNode } from './node';
import { pageNodes } from './walk';

/** Characters of a title that a person gives. */
export const LONGEST_TITLE = 200;
/** A longer heading is a sentence, not a title. */
const LONGEST_GUESS = 80;

/** The title of a page that nobody gave one: the words of its only first heading, else the name of its screen. */
export function guessTitle(page: Page): string {
  const [heading, ...others] = pageNodes(page).filter(
    (node): node is TextNode => node.kind === 'text' && node.role === 'heading-1',
  );
  const words = heading && others.length === 0 ? nodeWords(heading).trim() : '';
  return words !== '' && words.length <= LONGEST_GUESS ? words : page.name;
}
