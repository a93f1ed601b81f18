import type { Cascade, ComputedStyle, Declared } from './cascade';
import { memoizeByObject, memoizeLast } from '../../mockup/memoize';
import { parseLength } from './lengths';
import { GEOMETRY, PROPERTIES, isProperty, type Property } from './properties';
import type { XmlNode } from '../xml/node';

/** An element's style after the cascade and inheritance. */
export interface Computed {
  readonly style: ComputedStyle;
  /** Font size in px, the measure of `em`. */
  readonly fontSize: number;
  readonly custom: ReadonlyMap<string, string>;
  /** What the element itself declares, with `var()` filled in. */
  readonly declared: ReadonlyMap<Property, string>;
  /** The target of the `use` that draws the element, null outside of one. */
  readonly scope: XmlNode | null;
  /** What its children begin with: its inherited properties, and the initial values of all others. */
  readonly passedOn: () => ComputedStyle;
}

const INITIAL = Object.fromEntries(
  Object.entries(PROPERTIES).map(([name, { initial }]) => [name, initial]),
) as ComputedStyle;

export const ROOT_STYLE: Computed = {
  style: INITIAL,
  fontSize: 16,
  custom: new Map(),
  declared: new Map(),
  scope: null,
  passedOn: () => INITIAL,
};

/** The style that the element has where it stands in the file: definitions inherit from there, not from where they are used. */
export function styleInPlace(node: XmlNode, cascade: Cascade): Computed {
  return lastInPlace(node, [cascade], () => {
    const parent = node.parent ? styleInPlace(node.parent, cascade) : ROOT_STYLE;
    return computeStyle(node, parent, cascade);
  });
}

const lastInPlace = memoizeLast<XmlNode, Computed>();

/** Inheritance, `inherit`, `initial`, `unset`, `currentColor`-free: colours are settled where they are used. */
export function computeStyle(node: XmlNode, parent: Computed, cascade: Cascade): Computed {
  const declared = cascade.declaredOn(node, parent.scope);
  const custom = customProperties(declared, parent.custom);
  const own = new Map<Property, string>();
  for (const [property, value] of declared) {
    // A variable that is not there leaves the property as if it were unset (CSS Variables 1, §3.1).
    if (isProperty(property)) own.set(property, fillVariables(value, custom) ?? 'unset');
  }
  const alike = alikeStyles(own, custom, parent, cascade);
  const known = alike?.styles.get(alike.mark);
  if (known) return known;
  const computed = settleStyle(own, custom, parent);
  alike?.styles.set(alike.mark, computed);
  return computed;
}

/** Computed styles by file, inherited style and declarations, so that equal elements share one. */
const settledIn = memoizeByObject((_: Cascade) => new WeakMap<ComputedStyle, Map<string, Computed>>());

/**
 * The cache of the styles of elements with equal declarations; null for an element with unique ones. Drawings
 * have thousands of texts and lines in few styles, and each style is computed once.
 */
function alikeStyles(
  own: ReadonlyMap<Property, string>,
  custom: Computed['custom'],
  parent: Computed,
  cascade: Cascade,
): { readonly styles: Map<string, Computed>; readonly mark: string } | null {
  if (parent.scope !== null || custom.size > 0) return null;
  let mark = '';
  for (const [property, value] of own) {
    const takesOwn = value === 'inherit' && !PROPERTIES[property].inherited;
    if (takesOwn || property === 'transform' || GEOMETRY.has(property)) return null;
    mark += `${property}:${value};`;
  }
  const passed = parent.passedOn();
  const ofFile = settledIn(cascade);
  const styles = ofFile.get(passed) ?? new Map<string, Computed>();
  ofFile.set(passed, styles);
  return { styles, mark };
}

/** Lengths that are inherited in px, whatever the font size of the heir (CSS Cascade 4, §4.4). */
const IN_PX = ['letter-spacing', 'word-spacing'] as const;

function settleStyle(
  own: ReadonlyMap<Property, string>,
  custom: Computed['custom'],
  parent: Computed,
): Computed {
  const passed = parent.passedOn();
  // Most elements say little: a copy of every property for each would take most of the time.
  const style = Object.create(passed) as Record<Property, string>;
  for (const [property, value] of own) style[property] = settle(property, value, parent.style);
  const fontSize = fontSizeOf(own.get('font-size'), parent.fontSize, style['font-size']);
  if (own.has('font-size')) style['font-size'] = `${fontSize}px`;
  for (const property of IN_PX) {
    const length = own.has(property) ? parseLength(style[property], { fontSize, percentOf: fontSize }) : null;
    if (length !== null) style[property] = `${length}px`;
  }
  if (own.has('font-weight'))
    style['font-weight'] = weightOf(style['font-weight'], parent.style['font-weight']);
  if (own.has('text-decoration')) {
    style['text-decoration'] = joinDecorations(parent.style['text-decoration'], style['text-decoration']);
  }
  const passedOn = lazily(() => {
    const inherited = [...own.keys()].filter((name) => PROPERTIES[name].inherited);
    if (inherited.length === 0) return passed;
    return { ...passed, ...Object.fromEntries(inherited.map((name) => [name, style[name]])) };
  });
  return { style, fontSize, custom, declared: own, scope: parent.scope, passedOn };
}

function lazily<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

function settle(property: Property, value: string, parent: ComputedStyle): string {
  // CSS Color 4, §7: as the value of `color` itself, `currentColor` means the inherited colour.
  if (property === 'color' && value.toLowerCase() === 'currentcolor') return parent.color;
  switch (value) {
    case 'inherit':
      return parent[property];
    case 'initial':
      return PROPERTIES[property].initial;
    case 'unset':
    case 'revert':
      return PROPERTIES[property].inherited ? parent[property] : PROPERTIES[property].initial;
    default:
      return value;
  }
}

function customProperties(
  declared: Declared,
  parent: ReadonlyMap<string, string>,
): ReadonlyMap<string, string> {
  let custom: Map<string, string> | null = null;
  for (const [name, value] of declared) {
    if (!name.startsWith('--')) continue;
    custom ??= new Map(parent);
    custom.set(name, value);
  }
  return custom ?? parent;
}

/** The most characters of a value: variables that contain variables could grow without end. */
const LONGEST_VALUE = 100_000;
const DEEPEST_VARIABLE = 16;

/**
 * Fills in `var(--name, fallback)` (CSS Variables 1, §3); null when a variable is missing. The depth is bounded, so a
 * cycle ends.
 */
function fillVariables(value: string, custom: ReadonlyMap<string, string>, depth = 0): string | null {
  if (!value.includes('var(')) return value;
  if (depth > DEEPEST_VARIABLE || value.length > LONGEST_VALUE) return null;
  let missing = false;
  const filled = value.replace(
    /var\(\s*(--[\w-]+)\s*(?:,\s*((?:[^()]|\([^()]*\))*))?\)/g,
    (_, name: string, or: string | undefined) => {
      const found = custom.get(name) ?? or;
      missing ||= found === undefined;
      return (found ?? '').trim();
    },
  );
  return missing || filled === value ? null : fillVariables(filled, custom, depth + 1);
}

const NAMED_SIZES: Readonly<Record<string, number>> = {
  'xx-small': 9,
  'x-small': 10,
  small: 13,
  medium: 16,
  large: 18,
  'x-large': 24,
  'xx-large': 32,
};

function fontSizeOf(own: string | undefined, parent: number, inherited: string): number {
  if (own === undefined) return parent;
  const named = NAMED_SIZES[own];
  if (named !== undefined) return named;
  if (own === 'smaller') return parent / 1.2;
  if (own === 'larger') return parent * 1.2;
  return parseLength(inherited, { fontSize: parent, percentOf: parent }) ?? parent;
}

/** CSS Fonts 4, §2.4.1: how `bolder` and `lighter` step from the parent's weight. */
function weightOf(value: string, parent: string): string {
  const from = Number(parent) || 400;
  switch (value) {
    case 'normal':
      return '400';
    case 'bold':
      return '700';
    case 'bolder':
      return String(from < 350 ? 400 : from < 550 ? 700 : 900);
    case 'lighter':
      return String(from < 550 ? 100 : from < 750 ? 400 : 700);
    default:
      return Number(value) > 0 ? value : '400';
  }
}

function joinDecorations(outer: string, inner: string): string {
  const lines = [...outer.split(/\s+/), ...inner.split(/\s+/)].filter(
    (word) => word !== 'none' && word !== '',
  );
  return [...new Set(lines)].join(' ') || 'none';
}
