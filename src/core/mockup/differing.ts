import type { LayerKey } from './layer';
import type { Screen } from './mockup';
import { rememberOf } from './remember';
import { walk } from './walk';

/** What maps were changed from, and where: of thousands of entries an edit changes few, and several stages ask which. */
const origins = new WeakMap<object, { readonly from: unknown; readonly keys: readonly unknown[] }>();

/** A copy of the map with some of its entries otherwise; in which ones it differs need not be looked for again. */
export function changedMap<Key, Value>(
  from: ReadonlyMap<Key, Value>,
  changes: ReadonlyMap<Key, Value>,
): ReadonlyMap<Key, Value> {
  const changed = new Map<Key, Value>();
  // Of thousands of entries, a loop would make a pair each.
  from.forEach((value, key) => changed.set(key, value));
  changes.forEach((value, key) => changed.set(key, value));
  // One that was changed itself is kept alive by this, and must not keep the ones before it.
  origins.delete(from);
  origins.set(changed, { from, keys: [...changes.keys()] });
  return changed;
}

/** The keys whose values differ, and those that only one of the maps has. */
export function differing<Key, Value>(
  before: ReadonlyMap<Key, Value>,
  now: ReadonlyMap<Key, Value>,
  isSame: (value: Value, last: Value) => boolean = Object.is,
): readonly Key[] {
  if (before === now) return [];
  const origin = isSame === Object.is ? origins.get(now) : undefined;
  if (origin?.from === before)
    return (origin.keys as readonly Key[]).filter((key) => !Object.is(before.get(key), now.get(key)));
  const keys: Key[] = [];
  // Of thousands of entries, as in every edit, a loop would make a pair each.
  now.forEach((value, key) => {
    const last = before.get(key);
    if (last === undefined ? value !== undefined || !before.has(key) : !isSame(value, last)) keys.push(key);
  });
  before.forEach((_, key) => {
    if (!now.has(key)) keys.push(key);
  });
  return keys;
}

/** The layers of a screen with all groups that they are in. */
export function withGroups({ root }: Screen, keys: Iterable<LayerKey>): ReadonlySet<LayerKey> {
  const groups = groupsOf(root);
  const all = new Set<LayerKey>();
  for (const key of keys) {
    let next: LayerKey | undefined = key;
    while (next !== undefined && !all.has(next)) {
      all.add(next);
      next = groups.get(next);
    }
  }
  return all;
}

/** The group that each layer is in. */
const groupsOf = rememberOf(
  (root: Screen['root']): ReadonlyMap<LayerKey, LayerKey> =>
    new Map(
      walk(root).flatMap((group) =>
        group.kind === 'group' ? group.layers.map(({ key }) => [key, group.key] as const) : [],
      ),
    ),
);
