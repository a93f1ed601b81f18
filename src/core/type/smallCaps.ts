/**
 * The size of synthesised small capitals as a share of the font size, as browsers take it for fonts without
 * real ones.
 */
const SMALL = 0.7;

/** A text in small capitals as stretches of capitals, each with its share of the type size. */
export function smallCapsParts(text: string): readonly { readonly text: string; readonly scale: number }[] {
  const parts = text.match(/\p{Ll}+|\P{Ll}+/gu) ?? [];
  return parts.map((part) =>
    /\p{Ll}/u.test(part) ? { text: part.toUpperCase(), scale: SMALL } : { text: part, scale: 1 },
  );
}
