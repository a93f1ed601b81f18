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
}

type ImpliedInput = Pick<EmitInput, 'pages' | 'sheet' | 'plan'>;

const NONE: ImpliedClasses = { selectorOf: () => null, inSelectors: (rules) => rules };

const lastImplied = memoizeLast<StyleSheet, ImpliedClasses>();

/**
 * In the flow, what the place of an element says is not said by a class: the last of a list, what stands in another thing
 * than its likes, the only element of its kind in its parent. Elements keep their computed styles (CSS Cascade 5, §6.1).
 */
export function impliedClasses(input: ImpliedInput): ImpliedClasses {
  const { pages, sheet, plan } = input;
  if (!pages.some(({ layout }) => layout)) return NONE;
  return lastImplied(sheet, [...pages, plan], () => impliedAnew(input));
}

function impliedAnew(input: ImpliedInput): ImpliedClasses {
  const { pages, sheet } = input;
  const said = [
    ...RESERVED_CLASSES,
    ...sheet.classes.flatMap(({ name, isSaid }) => (isSaid ? [name] : [])),
    ...pages
      .flatMap(pageNodes)
      .flatMap((node) => [...node.classes, ...[sheet.nameClassOf(node)].filter((name) => name !== null)]),
  ];
  const things = new Set(pages.flatMap(pageNodes).flatMap((node) => ownName(node) ?? []));
  // Ids decide which elements label others, and links which ones are links.
  const markup = pages.map((page) => pageMarkup(page, { ...input, ...linkContext(page, pages, pageFile) }));
  const selectors = impliedSelectors(outlineOf(markup), elementRules(input), new Set(said), things);
  const selectorOf = (name: string) => selectors.get(name) ?? null;
  return {
    selectorOf,
    inSelectors: (rules) =>
      rules.map((rule) => ({
        ...rule,
        selector: rule.selector.replace(CLASS_NAME, (whole, name: string) => selectorOf(name) ?? whole),
      })),
  };
}
