import { freeName } from '../../markup/freeName';
import type { CssRule, Declaration } from '../../markup/printCss';
import { memoizeLast } from '../../mockup/memoize';
import type { Page } from '../../page/frame';
import { isField, valueOf } from '../../page/fieldParts';
import type { PageNode } from '../../page/node';
import type { StyleSheet } from '../../style/styleSheet';
import { ownDeclarations } from './ownDeclarations';

/** The classes of elements that stand otherwise than the others of their class. */
export interface PlacedClasses {
  /** Null for an element without one. */
  readonly classOf: (node: PageNode) => string | null;
  readonly rules: readonly CssRule[];
}

const NONE: PlacedClasses = { classOf: () => null, rules: [] };

const lastPlaced = memoizeLast<StyleSheet, PlacedClasses>();

/**
 * In the flow, what an element says beside its class is a class as well, shared by all that say the same of one class:
 * no element has a style of its own. Its rule stands behind those of classes (CSS Cascade 5, §6.4).
 */
export function placedClasses({
  sheet,
  pages,
}: {
  readonly sheet: StyleSheet;
  readonly pages: readonly Page[];
}): PlacedClasses {
  if (!pages.some(({ layout }) => layout)) return NONE;
  return lastPlaced(sheet, [...pages], () => placedAnew(sheet, pages));
}

function placedAnew(sheet: StyleSheet, pages: readonly Page[]): PlacedClasses {
  const taken = new Set(['screen', 'run', 'flow', ...sheet.classes.map(({ name }) => name)]);
  const found: { readonly node: PageNode; readonly base: string; readonly said: readonly Declaration[] }[] =
    [];
  const visit = (node: PageNode): void => {
    for (const name of [...node.classes, sheet.nameClassOf(node)]) if (name !== null) taken.add(name);
    const said = ownDeclarations(node, sheet);
    if (said.length > 0) found.push({ node, base: baseOf(node, sheet), said });
    if (node.kind !== 'box') return;
    // The value of a field is its control, which has a place of its own.
    const value = isField(node) ? valueOf(node) : null;
    for (const child of node.children) if (child !== value) visit(child);
  };
  for (const page of pages) if (page.layout) page.children.forEach(visit);
  const names = new Map<string, string>();
  const classes = new Map<PageNode, string>();
  const rules: CssRule[] = [];
  for (const { node, base, said } of found) {
    const mark = JSON.stringify([base, said]);
    const known = names.get(mark);
    const name = known ?? freeName(`${base}-${wordFor(said)}`, (each) => taken.has(each));
    classes.set(node, name);
    if (known !== undefined) continue;
    names.set(mark, name);
    taken.add(name);
    rules.push({ selector: `.${name}`, declarations: said });
  }
  return { classOf: (node) => classes.get(node) ?? null, rules };
}

/** What the name begins with: the class, else what the element is. */
function baseOf(node: PageNode, sheet: StyleSheet): string {
  return sheet.classOf(node)?.name ?? sheet.nameClassOf(node) ?? node.classes[0] ?? node.kind;
}

/** How an element differs, by the first property that tells. */
const WORDS: readonly (readonly [property: RegExp, word: string])[] = [
  [/^position$/, 'over'],
  [/^overflow/, 'scrolling'],
  [/^flex$/, 'rest'],
  [/^(?:max-|min-)?width$/, 'wide'],
  [/^(?:min-)?height$/, 'high'],
  [/^align-self$/, 'aside'],
  [/^margin/, 'apart'],
  [/^white-space$/, 'line'],
];

function wordFor(said: readonly Declaration[]): string {
  const found = WORDS.find(([property]) => said.some(([each]) => property.test(each)));
  return found?.[1] ?? 'placed';
}
