import type { CssRule, Declaration } from '../../markup/printCss';
import { flatMap } from '../../mockup/flatMap';
import { memoizeLast } from '../../mockup/memoize';
import type { Page } from '../../page/frame';
import { controlOf, isField, valueOf } from '../../page/fieldParts';
import type { PageNode } from '../../page/node';
import type { StyleSheet } from '../../style/styleSheet';
import { RESERVED_CLASSES } from '../../style/factor';
import { namedRules } from './namedRules';
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
  const nodes = pages.flatMap((page) => (page.layout ? flatMap(page.children, withControls) : []));
  const taken = new Set([
    ...RESERVED_CLASSES,
    ...sheet.classes.map(({ name }) => name),
    ...nodes.flatMap((node) => [...node.classes, sheet.nameClassOf(node) ?? []].flat()),
  ]);
  const wishes = nodes.map((node) => {
    const said = ownDeclarations(node, sheet);
    return { of: node, name: `${baseOf(node, sheet)}-${wordFor(said)}`, said };
  });
  const { classes, rules } = namedRules(wishes, taken);
  return { classOf: (node) => classes.get(node) ?? null, rules };
}

/** A node and those inside of it, with the controls of fields instead of their values. */
function withControls(node: PageNode): readonly PageNode[] {
  if (node.kind !== 'box') return [node];
  const value = isField(node) ? valueOf(node) : null;
  return [
    node,
    ...flatMap(node.children, (child) =>
      child === value ? [controlOf(node) ?? child] : withControls(child),
    ),
  ];
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
