import { layerLabel } from '../../look/layerLabel';
import { printCss, type CssRule } from '../../markup/printCss';
import type { LayerId } from '../../mockup/layer';
import { putInList } from '../../mockup/putInList';
import { treeOf } from '../../mockup/tree';
import type { Page } from '../../page/frame';
import type { PageNode } from '../../page/node';
import { pageNodes } from '../../page/walk';
import { ownName } from '../../sort/tellingNames';
import type { State } from '../../sort/vocabulary';
import type { StyleClass } from '../../style/styleSheet';
import type { BookClass, ClassUser, NameOrigin, StyleBook } from '../styleBook';
import type { BookInput } from '../target';
import { impliedClasses, type ImpliedClasses } from '../implied/impliedClasses';
import { withFontShorthand } from './fontShorthand';
import { classDeclarations } from './declarations';
import { wornClasses } from './wornClasses';
import { classSelector, modifiersOf } from './modifiers';
import { asInSheet, tokenSheet } from './sheetTokens';
import { placedClasses } from './placedClasses';
import { drawnStateRules, stateRules } from './stateRules';
import { isOfTheme, themeRules } from './themeRules';

interface Use {
  readonly page: Page;
  readonly node: PageNode;
}

/** The style sheet of pages as a book: every class with its rules and users, the tokens, and what themes cost. */
export function styleBook(input: BookInput): StyleBook {
  const { pages, sheet, samples } = input;
  const uses = new Map<string, Use[]>();
  for (const page of pages)
    for (const node of pageNodes(page))
      for (const name of classesOf(node, input)) putInList(uses, name, { page, node });
  const modifiers = modifiersOf(sheet);
  const themed = themeRules(sheet.classes, sheet.themes, sheet.schemes);
  const rulesOf = (style: StyleClass): readonly CssRule[] => [
    {
      selector: classSelector(style),
      declarations: modifiers.declarationsOf(style, (said) => themed.withVariables(style, said)),
    },
    ...themed.rulesOf(style),
    ...drawnStateRules(sheet, [style]),
    ...stateRules(style, input),
  ];
  const implied = impliedClasses(input);
  const printed = (rules: readonly CssRule[]) => printCss(asInSheet(implied.inSelectors(rules), input, true));
  let apart = 0;
  const worn = wornClasses(sheet, pages);
  const classes = sheet.classes.flatMap((style): readonly BookClass[] => {
    const users = uses.get(style.name) ?? [];
    const css = printed(rulesOf(style));
    const whole = {
      selector: classSelector(style),
      declarations: withFontShorthand(classDeclarations(style)),
    };
    apart += users.length * printCss([whole, ...rulesOf(style).slice(1)]).length;
    if (worn.isSilent(style)) return [];
    const one: BookClass = {
      name: classSelector(style).slice(1),
      selector: implied.selectorOf(style.name) ?? classSelector(style),
      origin: originOf(style, users, samples),
      css,
      states: [...new Set(style.states.map(({ state }): State => state))],
      namedBy: namedBy(style, users, input),
      users: users.map((use) => userOf(use, input)),
    };
    return [one];
  });
  const { rules, tokens, others, near } = tokenSheet(input);
  return {
    classes: [...classes, ...placedBook(input, uses, implied)],
    tokens,
    seldom: others,
    near,
    themes: sheet.themes.map((name) => ({
      name,
      bytes: printCss(rules.filter((rule) => isOfTheme(rule, name, sheet.schemes))).length,
    })),
    bytes: { sheet: printCss(rules).length, apart },
  };
}

/** The classes of elements that stand otherwise than the others of their class. */
function placedBook(
  input: BookInput,
  uses: ReadonlyMap<string, readonly Use[]>,
  implied: ImpliedClasses,
): readonly BookClass[] {
  return placedClasses(input).rules.map((rule) => {
    const name = rule.selector.slice(1);
    const users = uses.get(name) ?? [];
    return {
      name,
      selector: implied.selectorOf(name) ?? rule.selector,
      origin: 'place',
      css: printCss(asInSheet(implied.inSelectors([rule]), input, true)),
      states: [],
      // Its place follows from the layers: nobody names it.
      namedBy: null,
      users: users.map((use) => userOf(use, input)),
    };
  });
}

/** The classes with rules that an element and the letters in it wear. */
function classesOf(node: PageNode, input: BookInput): ReadonlySet<string> {
  const { sheet } = input;
  const letters =
    node.kind === 'text' ? node.lines.flatMap(({ spans }) => spans.map(({ look }) => look)) : [];
  return new Set(
    [
      sheet.classOf(node)?.name,
      placedClasses(input).classOf(node),
      ...node.classes,
      ...letters.map((look) => sheet.classFor(look)),
    ].flatMap((name) => name ?? []),
  );
}

function originOf({ name }: StyleClass, users: readonly Use[], samples: ReadonlySet<string>): NameOrigin {
  if (samples.has(name)) return 'sample';
  const nodes = users.map(({ node }) => node);
  if (nodes.some(({ lookName, classes }) => lookName === name || classes.includes(name))) return 'person';
  return nodes.some((node) => ownName(node) === name) ? 'layers' : 'made up';
}

/** The layer that a person named it by, else the first whose own look it is. */
function namedBy(style: StyleClass, users: readonly Use[], { sheet }: BookInput): LayerId | null {
  const own = users.map(({ node }) => node).filter((node) => sheet.classOf(node) === style);
  return (own.find(({ lookName }) => lookName === style.name) ?? own[0])?.layer ?? null;
}

function userOf({ page, node }: Use, { mockup, measures }: BookInput): ClassUser {
  const layer = treeOf(mockup).layer(node.layer);
  // A page for two windows has the layers of both screens.
  const screens = [page.screen, ...(page.narrow ? [page.narrow.screen] : [])];
  const screen = screens.find((each) => measures.get(each)?.has(node.layer)) ?? page.screen;
  return {
    layer: node.layer,
    title: layer ? layerLabel(layer).text : node.name,
    screen,
    box: measures.get(screen)?.get(node.layer)?.painted ?? null,
  };
}
