import { withAnyMemo } from '../mockup/memoize';
import { CSS_CAPABILITIES } from './css/capabilities';
import { styleBook } from './css/styleBook';
import { pagePieces } from './html/pagePieces';
import type { BookInput, Target } from './target';

/** What every target has whose elements a browser shows by CSS. */
export const BROWSER_TARGET = {
  capabilities: CSS_CAPABILITIES,
  fitsBrowsers: true,
  preview: pagePieces,
  styleBook: (input: BookInput) => withAnyMemo(() => styleBook(input)),
} as const satisfies Partial<Target>;
