import type { LayerId } from './layer';
import type { Screen } from './mockup';
import { memoizeByObject, MemoSlot } from './memoize';
import { walk } from './walk';

/**
 * For each map made by `withEntries`: the map that it was made from and the keys that differ. An edit changes
 * few of thousands of entries, and several stages ask which.
 */
const originOf = new MemoSlot<object, { readonly from: unknown; readonly keys: readonly unknown[] } | null>();

/**
 * A copy of the map with some entries replaced. `changedKeys` then finds the difference without a comparison.
 */
export function withEntries<Key, Value>(
  from: ReadonlyMap<Key, Value>,
  changes: ReadonlyMap<Key, Value>,
): ReadonlyMap<Key, Value> {
  const changed = new Map<Key, Value>();
  // `forEach` allocates no pair for each entry, as a loop over the map would.
  from.forEach((value, key) => changed.set(key, value));
  changes.forEach((value, key) => changed.set(key, value));
  // Drops the older record: otherwise each map would keep all maps before it alive.
  originOf.set(from, null);
  originOf.set(changed, { from, keys: [...changes.keys()] });
  return changed;
}

/** The keys whose values differ, and the keys that only one map has. */
export function changedKeys<Key, Value>(
  before: ReadonlyMap<Key, Value>,
  now: ReadonlyMap<Key, Value>,
  isSame: (value: Value, last: Value) => boolean = Object.is,
): readonly Key[] {
  if (before === now) return [];
  const origin = isSame === Object.is ? originOf.get(now) : undefined;
  if (origin?.from === before)
    return (origin.keys as readonly Key[]).filter((key) => !Object.is(before.get(key), now.get(key)));
  const keys: Key[] = [];
  // `forEach` allocates no pair for each entry, as a loop over the map would.
  now.forEach((value, key) => {
    const last = before.get(key);
    if (last === undefined ? value !== undefined || !before.has(key) : !isSame(value, last)) keys.push(key);
  });
  before.forEach((_, key) => {
    if (!now.has(key)) keys.push(key);
  });
  return keys;
}

/** The given layers of a screen and all groups around them. */
export function withAncestors({ root }: Screen, keys: Iterable<LayerId>): ReadonlySet<LayerId> {
  const groups = parentGroups(root);
  const all = new Set<LayerId>();
  for (const key of keys) {
    let next: LayerId | undefined = key;
    while (next !== undefined && !all.has(next)) {
      all.add(next);
      next = groups.get(next);
    }
  }
  return all;
}

/** The parent group of each layer. */
const parentGroups = memoizeByObject(
  (root: Screen['root']): ReadonlyMap<LayerId, LayerId> =>
    new Map(
      walk(root).flatMap((group) =>
        group.kind === 'group' ? group.layers.map(({ id }) => [id, group.id] as const) : [],
      ),
    ),
);
