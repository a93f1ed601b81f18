import { LRUCache } from 'lru-cache';

/** Characters of texts whose answers are kept by each function. */
const KEPT = 8_000_000;

/**
 * Gives a pure function that keeps its newest answers: drawings repeat the same clip, icon or glyph a thousand times,
 * and each stage asks for its geometry again.
 */
export function remember<T>(answer: (text: string) => T): (text: string) => T {
  const known = new LRUCache<string, { readonly value: T }>({
    maxSize: KEPT,
    sizeCalculation: (_, text) => text.length + 100,
  });
  return (text) => {
    const kept = known.get(text);
    if (kept) return kept.value;
    const value = answer(text);
    known.set(text, { value });
    return value;
  };
}
