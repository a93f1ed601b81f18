import { printCss } from '../../../markup/printCss';
import type { Token } from '../token';

/** The tokens as custom properties of the root (CSS Variables 1, §2). */
export function cssTokens(tokens: readonly Token[]): string {
  const declarations = tokens.map(({ name, value }) => [`--${name}`, value] as const);
  return printCss([{ selector: ':root', declarations }]);
}
