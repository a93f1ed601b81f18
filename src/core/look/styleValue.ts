/** What a token stands for; each kind has its own scale of names. */
export const TOKEN_KINDS = ['colour', 'font', 'text', 'space', 'radius', 'shadow'] as const;
export type TokenKind = (typeof TOKEN_KINDS)[number];

/** A value of the style sheet: of one kind, and as CSS writes it. */
export interface StyleValue {
  readonly kind: TokenKind;
  /** Lengths are px. */
  readonly value: string;
}

/** True for a kind whose values are lengths in px. */
export function isLengthKind(kind: TokenKind): boolean {
  return kind === 'text' || kind === 'space' || kind === 'radius';
}

/** A value as a key, such as `space 12px`. */
export function valueKey({ kind, value }: StyleValue): string {
  return `${kind} ${value}`;
}
