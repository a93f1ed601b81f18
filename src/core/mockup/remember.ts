import { LRUCache } from 'lru-cache';

/** Characters of texts whose answers are kept by each function. */
const KEPT = 8_000_000;

/**
 * Gives a pure function that keeps its newest answers: drawings repeat the same clip, icon or glyph a thousand times,
 * and each stage asks for its geometry again.
 */
export function remember<Answer>(answer: (text: string) => Answer): (text: string) => Answer {
  return keep(
    new LRUCache<string, Kept<Answer>>({
      maxSize: KEPT,
      sizeCalculation: (_, text) => text.length + 100,
    }),
    answer,
  );
}

/** Gives a pure function of an object that keeps its answers as long as the objects live. */
export function rememberOf<Key extends object, Answer>(answer: (key: Key) => Answer): (key: Key) => Answer {
  return keep(new WeakMap<Key, Kept<Answer>>(), answer);
}

/** In a box, since an answer may be nothing. */
interface Kept<Answer> {
  readonly value: Answer;
}

interface Store<Key, Answer> {
  readonly get: (key: Key) => Kept<Answer> | undefined;
  readonly set: (key: Key, kept: Kept<Answer>) => unknown;
}

function keep<Key, Answer>(known: Store<Key, Answer>, answer: (key: Key) => Answer): (key: Key) => Answer {
  return (key) => {
    const kept = known.get(key);
    if (kept) return kept.value;
    const value = answer(key);
    known.set(key, { value });
    return value;
  };
}

/**
 * Keeps, for an object, what was made of it last, as long as all that it was made from is the very same: so that what an
 * edit leaves alone stays the same object, and the next stage can tell.
 */
export function lastMade<Key extends object, Made>() {
  const known = new WeakMap<Key, { readonly from: readonly unknown[]; readonly made: Made }>();
  return (key: Key, from: readonly unknown[], make: (last: Made | undefined) => Made): Made => {
    const last = known.get(key);
    if (last && last.from.length === from.length && from.every((part, at) => part === last.from[at]))
      return last.made;
    const made = make(last?.made);
    known.set(key, { from, made });
    return made;
  };
}
