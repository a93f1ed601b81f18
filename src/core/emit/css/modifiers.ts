import type { Declaration } from '../../markup/printCss';
import { memoizeByObject } from '../../mockup/memoize';
import type { StyleClass, StyleSheet } from '../../style/styleSheet';
import { declarationDiff, isResettable } from './declarationDiff';
import { bodyTypeOf, inheritsType } from './bodyType';
import { withFontShorthand } from './fontShorthand';
import { classDeclarations } from './declarations';

/**
 * The fewest declarations that a modifier must save: each use of it costs a second class name. Like siblings are read
 * together, so that any that is said once is a gain.
 */
const FEWEST_SAVED = { lead: 1, thing: 3 } as const;

/** Which classes only modify another one. */
export interface Modifiers {
  /** The class that stands before a modifier on its elements; null for a class that is no modifier. */
  readonly baseOf: (style: StyleClass) => StyleClass | null;
  /**
   * The declarations of a class; of a modifier what differs from its base.
   * @param change what happens to them before the parts of fonts are put together. Absent for nothing
   */
  readonly declarationsOf: (
    style: StyleClass,
    change?: (declarations: readonly Declaration[]) => readonly Declaration[],
  ) => readonly Declaration[];
}

/**
 * The classes of a sheet that are modifiers: looks of one thing, as in `button` and `button-blue`, or of siblings that are
 * built alike, where an earlier class says most of what the others say. An element with both has the same computed style
 * as one with a class that says it all, since the modifier's rule comes later (CSS Cascade 5, §6.4).
 */
export const modifiersOf = memoizeByObject((sheet: StyleSheet): Modifiers => {
  const bases = new Map<string, StyleClass>();
  const modifiers = new Map<
    StyleClass,
    { readonly base: StyleClass; readonly own: readonly Declaration[] }
  >();
  const nested = new Map<StyleClass, readonly Declaration[]>();
  for (const style of sheet.classes) {
    if (style.within.length > 0) nested.set(style, nestedDeclarations(style, sheet));
    const { name, thing, lead } = style;
    if (!isPlainClass(style)) continue;
    const changing = (name: string | null, fewestSaved: number) => {
      const base = name === null ? undefined : bases.get(name);
      const own = base && modification(classDeclarations(base), classDeclarations(style), fewestSaved);
      return base && own ? [{ base, own }] : [];
    };
    const found = [...changing(lead, FEWEST_SAVED.lead), ...changing(thing, FEWEST_SAVED.thing)];
    const [least] = found.toSorted((one, other) => one.own.length - other.own.length);
    if (least) modifiers.set(style, least);
    else bases.set(name, style);
  }
  const body = bodyTypeOf(sheet);
  const wholeOf = (style: StyleClass) =>
    inheritsType(style) ? body.without(classDeclarations(style)) : classDeclarations(style);
  return {
    baseOf: (style) => modifiers.get(style)?.base ?? null,
    declarationsOf: (style, change = (declarations) => declarations) => {
      const own = modifiers.get(style)?.own;
      return own ? change(own) : withFontShorthand(change(nested.get(style) ?? wholeOf(style)));
    },
  };
});

/** What a class says inside of others: all of its look, and nothing of what it looks like elsewhere. */
function nestedDeclarations(style: StyleClass, { classes }: StyleSheet): readonly Declaration[] {
  const whole = classDeclarations(style);
  const others = classes.filter(({ name }) => name === style.name).flatMap(classDeclarations);
  const taken = declarationDiff(others, whole).filter(
    ([property]) => !whole.some(([own]) => own === property),
  );
  return [...taken, ...whole];
}

/** The selector of a class (Selectors 4, §6.6 and §14.1). */
export function classSelector({ within, name }: Pick<StyleClass, 'within' | 'name'>): string {
  return [...within, name].map((each) => `.${each}`).join(' ');
}

/** States, themes and a second width are said for whole classes. */
function isPlainClass({ states, themes, narrow }: StyleClass): boolean {
  return states.length === 0 && themes.length === 0 && narrow === null;
}

/** What a modifier says; null where it would save too little or cannot say it. */
function modification(
  base: readonly Declaration[],
  whole: readonly Declaration[],
  fewestSaved: number,
): readonly Declaration[] | null {
  const own = declarationDiff(base, whole);
  if (whole.length - own.length < fewestSaved) return null;
  const wanted = new Set(whole.map(([property]) => property));
  if (!base.every(([property]) => wanted.has(property) || isResettable(property))) return null;
  const changed = new Set(own.map(([property]) => property));
  // A shorthand that changes would take a longhand along that does not.
  const isTaken = [...wanted].some(
    (property) => !changed.has(property) && shorthandsOf(property).some((each) => changed.has(each)),
  );
  return isTaken ? null : own;
}

const SHORTHANDS: Readonly<Record<string, readonly string[]>> = {
  'row-gap': ['gap'],
  'column-gap': ['gap'],
  top: ['inset'],
  right: ['inset'],
  bottom: ['inset'],
  left: ['inset'],
};

/** The shorthands that set a property too. That of borders leaves the corners alone (CSS Backgrounds 3, §3.4). */
function shorthandsOf(property: string): readonly string[] {
  if (/^border-(?:\w+-\w+-)?radius$/.test(property))
    return property === 'border-radius' ? [] : ['border-radius'];
  const parts = property.split('-');
  const prefixes = parts.slice(0, -1).map((_, at) => parts.slice(0, at + 1).join('-'));
  return [...prefixes, ...(SHORTHANDS[property] ?? [])];
}
