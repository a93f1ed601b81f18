import type { Token } from '../token';
import { cssTokens } from './css';
import { designTokens } from './designTokens';
import { scssTokens } from './scss';

/** A way to write tokens for other tools. */
export interface TokenFormat {
  /** Words for it. */
  readonly label: string;
  readonly file: string;
  readonly print: (tokens: readonly Token[]) => string;
}

/** Every format; adding one is a file and a line here. */
export const TOKEN_FORMATS = {
  css: { label: 'CSS custom properties', file: 'tokens.css', print: cssTokens },
  scss: { label: 'SCSS variables', file: 'tokens.scss', print: scssTokens },
  dtcg: { label: 'Design Tokens (JSON)', file: 'tokens.json', print: designTokens },
} as const satisfies Readonly<Record<string, TokenFormat>>;

export type TokenFormatName = keyof typeof TOKEN_FORMATS;
export const TOKEN_FORMAT_NAMES = Object.keys(TOKEN_FORMATS) as readonly TokenFormatName[];
