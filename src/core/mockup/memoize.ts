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
 * The results that one owner keeps from run to run: for each object, pairs of function and result. A result
 * lives as long as its object and the memo. No result depends on what a memo holds.
 */
export interface Memo {
  readonly results: WeakMap<object, unknown[]>;
}

export function createMemo(): Memo {
  return { results: new WeakMap() };
}

/** The memo of the work under way; null between runs. */
let current: Memo | null = null;

/**
 * Does synchronous work with a memo: every memoized function that it calls keeps its results there. Without
 * one, the outermost memoized call has a memo of its own.
 */
export function usingMemo<Result>(memo: Memo, work: () => Result): Result {
  const outer = current;
  current = memo;
  try {
    return work();
  } finally {
    current = outer;
  }
}

/** Does synchronous work with the memo under way, else with one of its own. */
export function withAnyMemo<Result>(work: () => Result): Result {
  return current ? work() : usingMemo(createMemo(), work);
}

/** The results of one function by object, in the memo of the work under way; nothing is kept between runs. */
export class MemoSlot<Key extends object, Made extends NonNullable<unknown> | null> {
  get(key: Key): Made | undefined {
    const kept = current?.results.get(key);
    if (!kept) return undefined;
    for (let at = 0; at < kept.length; at += 2) if (kept[at] === this) return kept[at + 1] as Made;
    return undefined;
  }

  set(key: Key, made: Made): void {
    const kept = current?.results.get(key);
    if (!kept) {
      current?.results.set(key, [this, made]);
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

/** Memoizes a pure function of an object. `null` is a valid answer. */
export function memoizeByObject<Key extends object, Answer extends NonNullable<unknown> | null>(
  answer: (key: Key) => Answer,
): (key: Key) => Answer {
  const known = new MemoSlot<Key, Answer>();
  const find = (key: Key): Answer => {
    const kept = known.get(key);
    if (kept !== undefined) return kept;
    const value = answer(key);
    known.set(key, value);
    return value;
  };
  return (key) => (current ? find(key) : withAnyMemo(() => find(key)));
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
  const known = new MemoSlot<Key, { readonly from: From; readonly made: Made }>();
  const find = (key: Key, from: From, make: (last: Made | undefined) => Made): Made => {
    const last = known.get(key);
    if (last && isSame(from, last.from)) return last.made;
    const made = make(last?.made);
    known.set(key, { from, made });
    return made;
  };
  return (key: Key, from: From, make: (last: Made | undefined) => Made): Made =>
    current ? find(key, from, make) : withAnyMemo(() => find(key, from, make));
}

/**
 * Keeps what the last run on an object left, for a run that changes it in place. A run that throws leaves
 * nothing: half-changed state would spoil the next one.
 */
export function continueLast<Key extends object, State extends object>() {
  const known = new MemoSlot<Key, State | null>();
  const run = (key: Key, work: (last: State | null) => State): State => {
    const last = known.get(key) ?? null;
    known.set(key, null);
    const state = work(last);
    known.set(key, state);
    return state;
  };
  return (key: Key, work: (last: State | null) => State): State => withAnyMemo(() => run(key, work));
}

function areIdentical(from: readonly unknown[], last: readonly unknown[]): boolean {
  if (from.length !== last.length) return false;
  for (let at = 0; at < from.length; at++) if (from[at] !== last[at]) return false;
  return true;
}
