import type { CssRule } from '../../markup/printCss';
import { elementsOf, rowsOfComponents } from '../components/uses';
import type { Component } from '../components/template';

/** Rules by the component that alone needs them, and those of the whole page. */
export interface ScopedRules {
  readonly shared: readonly CssRule[];
  /** By the name of the component. */
  readonly own: ReadonlyMap<string, readonly CssRule[]>;
}

/**
 * Gives each component the rules of the classes that no other has. A scoped rule weighs more than a shared one (a
 * further attribute in its selector; Selectors 4, §17): a class of one component stays shared where an element also
 * has a shared class whose rules come after.
 */
export function scopedRules(rules: readonly CssRule[], components: readonly Component[]): ScopedRules {
  const uses = usesOfClasses(components);
  const owners = new Map<string, string | null>();
  for (const { owner, classes } of uses)
    for (const name of classes)
      owners.set(name, !owners.has(name) || owners.get(name) === owner ? owner : null);
  const first = new Map<string, number>();
  const last = new Map<string, number>();
  for (const [at, { selector }] of rules.entries()) {
    const names = classesIn(selector);
    // Elements without a class may stand in the template of another component.
    const around = new Set<string | null>(
      /\s[a-z]\w*(?:,|$)/.test(selector) ? [...names, null] : names.map((name) => owners.get(name) ?? null),
    );
    for (const name of names) {
      if (around.size > 1) owners.set(name, null);
      if (!first.has(name)) first.set(name, at);
      last.set(name, at);
    }
  }
  for (let isChanged = true; isChanged;) {
    isChanged = false;
    for (const { classes } of uses) {
      const latest = Math.max(
        -1,
        ...classes.filter((name) => !owners.get(name)).map((name) => last.get(name) ?? -1),
      );
      for (const name of classes) {
        if (!owners.get(name) || (first.get(name) ?? Infinity) >= latest) continue;
        owners.set(name, null);
        isChanged = true;
      }
    }
    // A rule of several classes is shared as soon as one of them is.
    for (const { selector } of rules) {
      const names = classesIn(selector);
      if (names.every((name) => owners.get(name)) || names.every((name) => !owners.get(name))) continue;
      for (const name of names) owners.set(name, null);
      isChanged = true;
    }
  }
  const shared: CssRule[] = [];
  const own = new Map<string, CssRule[]>();
  for (const rule of rules) {
    const [owner = null] = classesIn(rule.selector).map((name) => owners.get(name) ?? null);
    if (owner === null) shared.push(rule);
    else own.set(owner, [...(own.get(owner) ?? []), rule]);
  }
  return { shared, own };
}

/** The class names of a selector. */
function classesIn(selector: string): readonly string[] {
  return [...selector.matchAll(/\.(-?[_a-zA-Z][\w-]*)/g)].map(([, name]) => name!);
}

/** The classes that one element of a component may have at once. */
interface ClassUse {
  readonly owner: string;
  readonly classes: readonly string[];
}

function usesOfClasses(components: readonly Component[]): readonly ClassUse[] {
  const rows = rowsOfComponents(components);
  return components.flatMap((component) =>
    elementsOf(component).map(({ classes, classField }) => {
      const further =
        classField === null
          ? []
          : (rows.get(component) ?? []).flatMap(({ values }) => {
              const value = values[classField];
              return typeof value === 'string' ? value.split(' ') : [];
            });
      return { owner: component.name, classes: [...new Set([...classes, ...further])] };
    }),
  );
}
