import { SHEET } from '../../mockup/identity';
import type { SaidValue } from '../../sort/facets/values';
import type { Tags } from '../../sort/tag';
import { valueKey } from '../../look/styleValue';
import { NOTHING_SAID, type SaidValues } from './token';

/** What the tags say of values. A value that is merged into one that is merged itself becomes the last of them. */
export function saidValues(tags: Tags): SaidValues {
  const said = tags.get(SHEET.id)?.values;
  if (!said) return NOTHING_SAID;
  const into = new Map(
    said.flatMap((each) => (each.into === undefined ? [] : [[valueKey(each), each.into]])),
  );
  const merged = new Map(
    said.flatMap(({ kind, value }) => {
      const seen = new Set([value]);
      let last = value;
      for (let next = into.get(valueKey({ kind, value })); next !== undefined && !seen.has(next);) {
        seen.add(next);
        last = next;
        next = into.get(valueKey({ kind, value: next }));
      }
      return last === value ? [] : [[valueKey({ kind, value }), last] as const];
    }),
  );
  const names = new Map(
    said.flatMap((each) => (each.name === undefined ? [] : [[valueKey(each), each.name]])),
  );
  return { merged, names };
}

/** Sayings about values with newer ones: the newer one holds for its value, and takes its name from any other. */
export function combinedValues(
  before: readonly SaidValue[],
  newer: readonly SaidValue[],
): readonly SaidValue[] {
  const taken = new Set(newer.flatMap(({ name }) => name ?? []));
  const said = new Map<string, SaidValue>();
  for (const { name, ...each } of before)
    said.set(valueKey(each), name === undefined || taken.has(name) ? each : { ...each, name });
  for (const each of newer) said.set(valueKey(each), { ...said.get(valueKey(each)), ...each });
  return [...said.values()].filter(({ into, name }) => into !== undefined || name !== undefined);
}
