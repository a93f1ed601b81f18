import type { LayerKey } from './layer';
import type { Screen } from './mockup';
import { rememberOf } from './remember';
import { walk } from './walk';

/** The keys whose values differ, and those that only one of the maps has. */
export function differing<Key, Value>(
  before: ReadonlyMap<Key, Value>,
  now: ReadonlyMap<Key, Value>,
  isSame: (value: Value, last: Value) => boolean = Object.is,
): readonly Key[] {
  if (before === now) return [];
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
