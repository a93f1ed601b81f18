import { memoizeLast } from '../../mockup/memoize';
import type { Page } from '../../page/frame';
import type { PageNode } from '../../page/node';
import type { StyleClass, StyleSheet } from '../../style/styleSheet';
import { classSelector, modifiersOf } from './modifiers';
import { placedClasses } from './placedClasses';
import { windowRules } from './windowRules';

/** The classes that elements wear for their looks. */
export interface WornClasses {
  /** Of a node: the class that its own one modifies, and its own one; those without a rule are left out. */
  readonly of: (node: PageNode) => readonly StyleClass[];
  /** True for a class that no element wears: its texts inherit all of its look. */
  readonly isSilent: (style: StyleClass) => boolean;
}

const lastWorn = memoizeLast<StyleSheet, WornClasses>();

/** @param pages all pages that share the sheet; absent for a single one without rules for narrower windows */
export function wornClasses(sheet: StyleSheet, pages: readonly Page[] = []): WornClasses {
  return lastWorn(sheet, [...pages], () => wornAnew(sheet, pages));
}

function wornAnew(sheet: StyleSheet, pages: readonly Page[]): WornClasses {
  const { baseOf, declarationsOf } = modifiersOf(sheet);
  const rules = sheet.classes.map((style) => ({
    selector: classSelector(style),
    declarations: declarationsOf(style),
  }));
  // What narrower windows change is said of the class of its element.
  const changing = windowRules({ sheet, pages }, [...rules, ...placedClasses({ sheet, pages }).rules]);
  const changed = new Set(changing.flatMap(({ selector }) => selector.match(/(?<=\.)[\w-]+/g) ?? []));
  const silent = new Set(
    sheet.classes.filter(
      (style) =>
        style.states.length + style.themes.length === 0 &&
        style.narrow === null &&
        !style.isSaid &&
        !changed.has(style.name) &&
        declarationsOf(style).length === 0,
    ),
  );
  const of = (node: PageNode) => {
    const own = sheet.classOf(node);
    const base = own && baseOf(own);
    return [base, own].flatMap((style) => (style && !silent.has(style) ? [style] : []));
  };
  return { of, isSilent: (style) => silent.has(style) };
}
