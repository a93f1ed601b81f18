import { LRUCache } from 'lru-cache';

/** Characters of texts whose answers are kept by each function. */
const KEPT = 8_000_000;

/**
 * Gives a pure function that keeps its newest answers: drawings repeat the same clip, icon or glyph a thousand times,
 * and each stage asks for its geometry again.
 */
export function remember<Answer>(answer: (text: string) => Answer): (text: string) => Answer {
  const first = firstMade<Answer>();
  return (text) => first(text, () => answer(text));
}

/**
 * Keeps of things that are the same what was made first, so that they can be told apart by identity; `text` says what
 * makes them the same.
 */
export function firstMade<Made>(): (text: string, make: () => Made) => Made {
  // In a box, since what is made may be nothing.
  const known = new LRUCache<string, { readonly made: Made }>({
    maxSize: KEPT,
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
 * What was made of objects, kept with each object itself, out of sight: as pairs of the function that made it and what it
 * made. Of the thousands of things that an edit asks for, a browser finds these faster than it finds objects in a WeakMap,
 * and does not go through them whenever it clears up.
 */
const MADE_OF = Symbol('made of it');

interface Keeper {
  [MADE_OF]?: unknown[];
}

/** A place for what one function makes of each object; what it makes lives as long as the object. */
class Keeping<Key extends object, Made extends NonNullable<unknown> | null> {
  get(key: Key): Made | undefined {
    const kept = (key as Keeper)[MADE_OF];
    if (!kept) return undefined;
    for (let at = 0; at < kept.length; at += 2) if (kept[at] === this) return kept[at + 1] as Made;
    return undefined;
  }

  set(key: Key, made: Made): void {
    const kept = (key as Keeper)[MADE_OF];
    if (!kept) {
      Object.defineProperty(key, MADE_OF, { value: [this, made] });
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

/** Gives a pure function of an object that keeps its answers, `null` among them, as long as the objects live. */
export function rememberOf<Key extends object, Answer extends NonNullable<unknown> | null>(
  answer: (key: Key) => Answer,
): (key: Key) => Answer {
  const known = new Keeping<Key, Answer>();
  return (key) => {
    const kept = known.get(key);
    if (kept !== undefined) return kept;
    const value = answer(key);
    known.set(key, value);
    return value;
  };
}

/**
 * Keeps, for an object, what was made of it last, as long as all that it was made from is the very same: so that what an
 * edit leaves alone stays the same object, and the next stage can tell.
 */
export function lastMade<Key extends object, Made>() {
  return lastMadeFrom<Key, readonly unknown[], Made>(areSame);
}

/** The same, made from one thing, where `isSame` tells whether it would be made from the same again. */
export function lastMadeFrom<Key extends object, From extends object, Made>(
  isSame: (from: From, last: From) => boolean,
) {
  const known = new Keeping<Key, { readonly from: From; readonly made: Made }>();
  return (key: Key, from: From, make: (last: Made | undefined) => Made): Made => {
    const last = known.get(key);
    if (last && isSame(from, last.from)) return last.made;
    const made = make(last?.made);
    known.set(key, { from, made });
    return made;
  };
}

function areSame(from: readonly unknown[], last: readonly unknown[]): boolean {
  if (from.length !== last.length) return false;
  for (let at = 0; at < from.length; at++) if (from[at] !== last[at]) return false;
  return true;
}
