import { LRUCache } from 'lru-cache';

/** Characters of keys that each cache holds. */
const LARGEST_CACHE = 8_000_000;

/**
 * Memoizes a pure function of a text, with the newest answers in a bounded cache. Drawings repeat the same
 * clip, icon or glyph a thousand times, and each stage asks for its geometry.
 */
export function memoizeText<Answer>(answer: (text: string) => Answer): (text: string) => Answer {
  const first = internByText<Answer>();
  return (text) => first(text, () => answer(text));
}

/**
 * Interns values: gives the first value made for a text, so that equal values can be compared by identity.
 */
export function internByText<Made>(): (text: string, make: () => Made) => Made {
  // Wrapped, since the value may be undefined.
  const known = new LRUCache<string, { readonly made: Made }>({
    maxSize: LARGEST_CACHE,
    sizeCalculation: (_, text) => text.length + 100,
  });
  return (text, make) => {
    const kept = known.get(text);
    if (kept) return kept.made;
    const made = make();
    known.set(text, { made });
    return made;
  };
}

/**
 * Results memoized for an object, in a hidden property as pairs of memo and result. Browsers find these
 * faster than WeakMap entries, and the collector does not scan them.
 */
const MEMO = Symbol('made of it');

interface Memoized {
  [MEMO]?: unknown[];
}

/** The results of one function by object; a result lives as long as its object. */
class ObjectMemo<Key extends object, Made extends NonNullable<unknown> | null> {
  get(key: Key): Made | undefined {
    const kept = (key as Memoized)[MEMO];
    if (!kept) return undefined;
    for (let at = 0; at < kept.length; at += 2) if (kept[at] === this) return kept[at + 1] as Made;
    return undefined;
  }

  set(key: Key, made: Made): void {
    const kept = (key as Memoized)[MEMO];
    if (!kept) {
      Object.defineProperty(key, MEMO, { value: [this, made] });
      return;
    }
    for (let at = 0; at < kept.length; at += 2)
      if (kept[at] === this) {
        kept[at + 1] = made;
        return;
      }
    kept.push(this, made);
  }
}

/** Memoizes a pure function of an object, as long as the object lives. `null` is a valid answer. */
export function memoizeByObject<Key extends object, Answer extends NonNullable<unknown> | null>(
  answer: (key: Key) => Answer,
): (key: Key) => Answer {
  const known = new ObjectMemo<Key, Answer>();
  return (key) => {
    const kept = known.get(key);
    if (kept !== undefined) return kept;
    const value = answer(key);
    known.set(key, value);
    return value;
  };
}

/**
 * Memoizes the last result for an object while all inputs are identical. An unchanged part then stays the
 * same object, and the next stage can tell.
 */
export function memoizeLast<Key extends object, Made>() {
  return memoizeLastBy<Key, readonly unknown[], Made>(areIdentical);
}

/** The same with one input object and a comparison of inputs. */
export function memoizeLastBy<Key extends object, From extends object, Made>(
  isSame: (from: From, last: From) => boolean,
) {
  const known = new ObjectMemo<Key, { readonly from: From; readonly made: Made }>();
  return (key: Key, from: From, make: (last: Made | undefined) => Made): Made => {
    const last = known.get(key);
    if (last && isSame(from, last.from)) return last.made;
    const made = make(last?.made);
    known.set(key, { from, made });
    return made;
  };
}

function areIdentical(from: readonly unknown[], last: readonly unknown[]): boolean {
  if (from.length !== last.length) return false;
  for (let at = 0; at < from.length; at++) if (from[at] !== last[at]) return false;
  return true;
}
