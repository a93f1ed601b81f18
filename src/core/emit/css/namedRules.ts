import { freeName } from '../../markup/freeName';
import type { CssRule, Declaration } from '../../markup/printCss';

/** Something that needs a rule of its own, and the name that its class would like to have. */
interface Wish<Key> {
  readonly of: Key;
  readonly name: string;
  readonly said: readonly Declaration[];
}

/** Classes with their rules: those that would like the same name and say the same are one. */
export interface NamedRules<Key> {
  readonly classes: ReadonlyMap<Key, string>;
  readonly rules: readonly CssRule[];
}

/** @param taken the names of other classes */
export function namedRules<Key>(wishes: readonly Wish<Key>[], taken: ReadonlySet<string>): NamedRules<Key> {
  const names = new Map<string, string>();
  const given = new Set(taken);
  const classes = new Map<Key, string>();
  const rules: CssRule[] = [];
  for (const { of, name: wanted, said } of wishes) {
    if (said.length === 0) continue;
    const mark = JSON.stringify([wanted, said]);
    const known = names.get(mark);
    const name = known ?? freeName(wanted, (each) => given.has(each));
    classes.set(of, name);
    if (known !== undefined) continue;
    names.set(mark, name);
    given.add(name);
    rules.push({ selector: `.${name}`, declarations: said });
  }
  return { classes, rules };
}
