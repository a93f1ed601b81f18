/** How much smaller the capitals are that stand for small letters: what browsers take when a font has none of its own. */
const SMALL = 0.7;

/** A text in small capitals as stretches of capitals, each with its share of the type size. */
export function smallCapsParts(text: string): readonly { readonly text: string; readonly scale: number }[] {
  const parts = text.match(/\p{Ll}+|\P{Ll}+/gu) ?? [];
  return parts.map((part) =>
    /\p{Ll}/u.test(part) ? { text: part.toUpperCase(), scale: SMALL } : { text: part, scale: 1 },
  );
}
