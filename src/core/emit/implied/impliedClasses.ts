import type { MarkupElement } from '../../markup/element';
import type { CssRule } from '../../markup/printCss';
import { memoizeLast } from '../../mockup/memoize';
import { pageNodes } from '../../page/walk';
import { ownName } from '../../sort/tellingNames';
import { RESERVED_CLASSES } from '../../style/factor';
import type { StyleSheet } from '../../style/styleSheet';
import { elementRules } from '../css/elementRules';
import { pageFile } from '../html/pageFile';
import { linkContext } from '../markup/linkContext';
import { pageMarkup } from '../markup/pageMarkup';
import type { EmitInput } from '../target';
import { CLASS_NAME, impliedSelectors } from './impliedSelectors';
import { outlineOf } from './outline';

/** Classes that no element has to wear: a selector says which elements they are of. */
export interface ImpliedClasses {
  /** Null for a class that elements wear. */
  readonly selectorOf: (name: string) => string | null;
  /** Rules with those selectors in place of the classes. */
  readonly inSelectors: (rules: readonly CssRule[]) => readonly CssRule[];
  /** Markup without those classes. */
  readonly inMarkup: (markup: MarkupElement) => MarkupElement;
}

type ImpliedInput = Pick<EmitInput, 'pages' | 'sheet' | 'plan' | 'icons'>;

const NONE: ImpliedClasses = {
  selectorOf: () => null,
  inSelectors: (rules) => rules,
  inMarkup: (markup) => markup,
};

const lastImplied = memoizeLast<StyleSheet, ImpliedClasses>();

/**
 * In the flow, what the place of an element says is not said by a class: the last of a list, what stands in another thing
 * than its likes, the only element of its kind in its parent. Elements keep their computed styles (CSS Cascade 5, §6.1).
 * @param marked the markup of the pages, with all classes, where it is there already: it is the same however it is linked
 */
export function impliedClasses(input: ImpliedInput, marked?: readonly MarkupElement[]): ImpliedClasses {
  const { pages, sheet, plan, icons } = input;
  if (!pages.some(({ layout }) => layout)) return NONE;
  return lastImplied(sheet, [...pages, plan, icons], () => impliedAnew(input, marked ?? markupOf(input)));
}

/** Ids decide which elements label others, and links which ones are links. */
function markupOf(input: ImpliedInput): readonly MarkupElement[] {
  const { pages } = input;
  return pages.map((page) => pageMarkup(page, { ...input, ...linkContext(page, pages, pageFile) }));
}

function impliedAnew({ pages, sheet, plan }: ImpliedInput, marked: readonly MarkupElement[]): ImpliedClasses {
  const said = [
    ...RESERVED_CLASSES,
    ...sheet.classes.flatMap(({ name, isSaid }) => (isSaid ? [name] : [])),
    ...pages
      .flatMap(pageNodes)
      .flatMap((node) => [...node.classes, ...[sheet.nameClassOf(node)].filter((name) => name !== null)]),
  ];
  const things = new Set(pages.flatMap(pageNodes).flatMap((node) => ownName(node) ?? []));
  const rules = elementRules({ pages, sheet, plan });
  const selectors = impliedSelectors(outlineOf(marked), rules, new Set(said), things);
  const selectorOf = (name: string) => selectors.get(name) ?? null;
  return {
    selectorOf,
    inSelectors: (rules) =>
      rules.map((rule) => ({
        ...rule,
        selector: rule.selector.replace(CLASS_NAME, (whole, name: string) => selectorOf(name) ?? whole),
      })),
    inMarkup: (markup) => withoutClasses(markup, selectors),
  };
}

function withoutClasses(markup: MarkupElement, gone: ReadonlyMap<string, string>): MarkupElement {
  const { class: said, ...others } = markup.attributes;
  const children = markup.children.map((child) =>
    typeof child === 'string' ? child : withoutClasses(child, gone),
  );
  const worn = typeof said === 'string' ? said.split(' ').filter((name) => !gone.has(name)) : [];
  if (said === undefined || worn.length === said.toString().split(' ').length) return { ...markup, children };
  // Classes stand where they stood among the attributes.
  const attributes = worn.length > 0 ? { ...markup.attributes, class: worn.join(' ') } : others;
  return { ...markup, attributes, children };
}
