import type { Token } from '../token';

/** The tokens as variables of SCSS (Sass reference, “Variables”; from memory). */
export function scssTokens(tokens: readonly Token[]): string {
  return tokens.map(({ name, value }) => `$${name}: ${value};\n`).join('');
}
