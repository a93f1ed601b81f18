/** True when a text has every word of a search, in any order and case. */
export function hasWords(text: string, words: string): boolean {
  const lower = text.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => lower.includes(word));
}
