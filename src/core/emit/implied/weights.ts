import type { CssRule, Declaration } from '../../markup/printCss';
import { OF_CLASS, specificityOf } from '../../markup/specificity';

/** A rule of classes with its weight. */
export interface WeighedRule {
  /** The class names that an element needs for the rule, by each of its selectors. */
  readonly subjects: readonly string[];
  readonly families: ReadonlySet<string>;
  readonly weight: number;
}

export function weighed({ selector, declarations }: CssRule): WeighedRule {
  return {
    subjects: selector.split(',').flatMap((each) => classesOf(each.split(/[\s>+~]+/).at(-1) ?? '')),
    families: familiesOf(declarations),
    weight: specificityOf(selector),
  };
}

/**
 * True where rules would decide otherwise if a class had a heavier selector: one that comes later, or is heavier than the
 * class, and says a property that the class says, for an element that has both.
 * @param own the places of the rules of the class, and the families of properties that they say
 * @param worn the other classes of its elements
 * @param weight that of the selector
 */
export function changesCascade(
  rules: readonly WeighedRule[],
  own: { readonly places: ReadonlySet<number>; readonly families: ReadonlySet<string> },
  worn: ReadonlySet<string>,
  weight: number,
): boolean {
  const first = Math.min(...own.places);
  return rules.some(
    (rule, at) =>
      !own.places.has(at) &&
      (at > first || rule.weight > OF_CLASS) &&
      rule.weight <= weight &&
      rule.subjects.some((name) => worn.has(name)) &&
      [...rule.families].some((family) => own.families.has(family)),
  );
}

/** Names of properties without what follows: a shorthand and its longhands are of one family. */
export function familiesOf(declarations: readonly Declaration[]): ReadonlySet<string> {
  return new Set(declarations.map(([property]) => FAMILIES[property] ?? property.split('-')[0]!));
}

/** Properties that shorthands of another name set. */
const FAMILIES: Readonly<Record<string, string>> = {
  'line-height': 'font',
  'row-gap': 'gap',
  'column-gap': 'gap',
  top: 'inset',
  right: 'inset',
  bottom: 'inset',
  left: 'inset',
};

/** The class names of a compound selector. */
function classesOf(compound: string): readonly string[] {
  return [...compound.matchAll(/\.(-?[\w\u0080-\uffff-]+)/g)].map(([, name]) => name!);
}
