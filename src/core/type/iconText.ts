/**
 * The private use areas (Unicode 16, §23.5): fonts of icons have their signs there, and nobody can say what they show
 * without the font.
 */
const PRIVATE_USE = /^[\s\u{E000}-\u{F8FF}\u{F0000}-\u{FFFFD}\u{100000}-\u{10FFFD}]+$/u;

/** True for words that are icons of a font. */
export function isIconText(words: string): boolean {
  return words.trim() !== '' && PRIVATE_USE.test(words);
}
