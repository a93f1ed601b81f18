import type { CssRule, Declaration } from '../../markup/printCss';
import { specificityOf } from '../../markup/specificity';
import { putInList } from '../../mockup/putInList';
import type { OutlineElement } from './outline';
import { POSITIONS } from './positions';
import { changesCascade, familiesOf, weighed, type WeighedRule } from './weights';

/** A class name in a selector. */
export const CLASS_NAME = /\.(-?[_a-zA-Z\u0080-\uffff][\w\u0080-\uffff-]*)/g;

/**
 * Selectors that stand for classes, by their names: they match the same elements, and decide as the classes do.
 * @param rules all rules with classes, in their order
 * @param fixed classes that elements wear in any case
 * @param things classes that name things of the mockup
 */
export function impliedSelectors(
  elements: readonly OutlineElement[],
  rules: readonly CssRule[],
  fixed: ReadonlySet<string>,
  things: ReadonlySet<string> = new Set(),
): ReadonlyMap<string, string> {
  return new Implier(elements, rules, fixed, things).selectors();
}

/** Elements that are the only one of their kind in many things (HTML, §4.3 to §4.10). */
const TELLING = new Set(
  `header main footer nav aside h1 h2 h3 h4 h5 h6 p ul ol dl table thead tbody form fieldset legend
  figure figcaption img picture svg button input select textarea label a blockquote address`.split(/\s+/),
);

/** Elements that stand around others. */
const AROUND = new Set('header main footer nav aside ul ol dl table form fieldset figure'.split(' '));

class Implier {
  private readonly wearers = new Map<string, OutlineElement[]>();
  /** Elements by their names. */
  private readonly ofKind = new Map<string, OutlineElement[]>();
  private readonly weighed: readonly WeighedRule[];
  private readonly places = new Map<string, Set<number>>();
  private readonly found = new Map<string, string>();
  /** Classes that elements go on to wear. */
  private readonly kept: Set<string>;

  constructor(
    elements: readonly OutlineElement[],
    private readonly rules: readonly CssRule[],
    fixed: ReadonlySet<string>,
    private readonly things: ReadonlySet<string>,
  ) {
    this.kept = new Set(fixed);
    for (const each of elements) {
      putInList(this.ofKind, each.name, each);
      for (const name of each.classes) putInList(this.wearers, name, each);
    }
    this.weighed = rules.map(weighed);
    for (const [at, { selector }] of rules.entries())
      for (const each of selector.split(/,\s*/)) this.findPlace(each, at);
  }

  /** The selectors that stand for classes, by their names. */
  selectors(): ReadonlyMap<string, string> {
    const names = [...this.wearers.keys()].filter((name) => this.places.has(name));
    for (const imply of [this.byPosition, this.byParent, this.byElement])
      for (const name of names) {
        if (this.kept.has(name) || this.found.has(name)) continue;
        const selector = imply(name, this.wearers.get(name)!);
        if (selector !== null) this.found.set(name, selector);
      }
    return this.found;
  }

  /** A class that only stands by itself has places; what stands inside of others or has states is kept. */
  private findPlace(selector: string, at: number): void {
    const names = [...selector.matchAll(CLASS_NAME)].map(([, name]) => name!);
    const [only] = names;
    if (names.length === 1 && (selector === `.${only}` || selector === `.${only} tr`))
      this.places.set(only!, (this.places.get(only!) ?? new Set()).add(at));
    else for (const name of names) this.kept.add(name);
  }

  /** Of a class beside another one: the place among siblings that wear the other one. */
  private readonly byPosition = (name: string, wearers: readonly OutlineElement[]): string | null => {
    const said = this.declarationsOf(name);
    const together = mostTogether(wearers);
    const positions = POSITIONS.filter(({ explains, least }) => together >= least && explains(said));
    for (const base of this.besides(name, wearers)) {
      const others = this.wearers.get(base)!;
      if (!tellSiblingsApart(wearers, others)) continue;
      for (const { selectorOf, holds } of positions)
        for (const scope of ['', ...this.scopes(wearers)]) {
          const inScope = scope === '' ? others : others.filter(({ parent }) => parent?.classes.has(scope));
          if (
            !isSame(
              inScope.filter((each) => holds(each, base)),
              wearers,
            )
          )
            continue;
          const selector = `${scope === '' ? '' : `.${scope} > `}${selectorOf(base)}`;
          if (this.take(name, wearers, selector, [base, scope])) return selector;
        }
    }
    return null;
  };

  /** Of a class beside another one: what is around all that wear it, and no others of the other one. */
  private readonly byParent = (name: string, wearers: readonly OutlineElement[]): string | null => {
    for (const base of this.besides(name, wearers))
      for (const scope of this.scopes(wearers)) {
        const within = this.wearers.get(base)!.filter(({ parent }) => parent?.classes.has(scope));
        const selector = `.${scope} > .${base}`;
        if (isSame(within, wearers) && this.take(name, wearers, selector, [base, scope])) return selector;
      }
    return null;
  };

  /** Of what is the only element of its kind in its parent. */
  private readonly byElement = (name: string, wearers: readonly OutlineElement[]): string | null => {
    const [{ name: kind }] = wearers as [OutlineElement];
    if (!TELLING.has(kind) || wearers.some((each) => each.name !== kind)) return null;
    // A thing with a name is known by it.
    if (AROUND.has(kind) && this.things.has(name) && name !== kind) return null;
    for (const scope of this.scopes(wearers)) {
      const within = this.ofKind.get(kind)!.filter(({ parent }) => parent?.classes.has(scope));
      const isOnly = new Set(within.map(({ parent }) => parent)).size === within.length;
      const selector = `.${scope} > ${kind}`;
      if (isOnly && isSame(within, wearers) && this.take(name, wearers, selector, [scope])) return selector;
    }
    return null;
  };

  /** True for a selector that decides as the class does; the classes that it names are kept. */
  private take(
    name: string,
    wearers: readonly OutlineElement[],
    selector: string,
    named: readonly string[],
  ): boolean {
    if (named.some((each) => this.found.has(each))) return false;
    const own = { places: this.places.get(name)!, families: familiesOf(this.declarationsOf(name)) };
    const worn = new Set(wearers.flatMap(({ classes }) => [...classes].filter((each) => each !== name)));
    if (changesCascade(this.weighed, own, worn, specificityOf(selector))) return false;
    for (const each of named) this.kept.add(each);
    return true;
  }

  private declarationsOf(name: string): readonly Declaration[] {
    return [...this.places.get(name)!].flatMap((at) => [...this.rules[at]!.declarations]);
  }

  /** The other classes with rules that all wearers of a class have, and others too. */
  private besides(name: string, wearers: readonly OutlineElement[]): readonly string[] {
    return [...wearers[0]!.classes].filter(
      (each) =>
        each !== name &&
        this.places.has(each) &&
        this.wearers.get(each)!.length > wearers.length &&
        wearers.every(({ classes }) => classes.has(each)),
    );
  }

  /** The classes of the parents of all wearers. */
  private scopes(wearers: readonly OutlineElement[]): readonly string[] {
    const [first] = wearers;
    return [...(first?.parent?.classes ?? [])].filter((each) =>
      wearers.every(({ parent }) => parent?.classes.has(each)),
    );
  }
}

/** True for elements beside which others stand that are none of them. */
function tellSiblingsApart(elements: readonly OutlineElement[], others: readonly OutlineElement[]): boolean {
  const own = new Set(elements);
  const parents = new Set(elements.map(({ parent }) => parent));
  return others.some((each) => parents.has(each.parent) && !own.has(each));
}

/** How many elements have one parent, at most. */
function mostTogether(elements: readonly OutlineElement[]): number {
  const counts = new Map<OutlineElement | null, number>();
  for (const { parent } of elements) counts.set(parent, (counts.get(parent) ?? 0) + 1);
  return Math.max(...counts.values());
}

/** True for the same elements, in the order of their page. */
function isSame(some: readonly OutlineElement[], others: readonly OutlineElement[]): boolean {
  return some.length === others.length && some.every((each, at) => each === others[at]);
}
