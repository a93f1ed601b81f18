import { PLACED } from './placedLetters';
import type { XmlNode } from '../../xml/node';
import { computeStyle, type Computed } from '../computed';
import { hrefOf, type Here } from '../context';
import { parseLength, parseLengths, parseShare } from '../lengths';
import { safeHref } from '../names';
import type { Property } from '../properties';
import { faceWish } from './runs';

/** One addressable character with its positioning attributes (SVG 2, §11.5). */
export interface Letter {
  readonly text: string;
  readonly computed: Computed;
  /** True when white space counts here. */
  readonly keep: boolean;
  /** How far it is raised above the line by `baseline-shift`, px. */
  readonly baselineShift: number;
  /** Where a link around it leads. */
  readonly href: string | undefined;
  /** The opacity of the elements around it inside the text, 0–1. */
  readonly opacity: number;
  x?: number;
  y?: number;
  dx?: number;
  dy?: number;
  /** Degrees by which it is turned about its own origin. */
  turn?: number;
  /** The `textPath` that it stands along. */
  readonly along?: XmlNode;
}

/** A stretch whose length is set by `textLength`. */
export interface Stretch {
  readonly start: number;
  readonly end: number;
  readonly length: number;
  /** What gives way: the gaps between the letters, or the letters too. */
  readonly adjusts: 'spacing' | 'glyphs';
}

export interface Flat {
  readonly letters: Letter[];
  readonly stretches: Stretch[];
  /** What the text does that Orden does not lay out. */
  readonly oddities: Set<string>;
}

/** What the elements around a letter give it. */
interface Around {
  readonly computed: Computed;
  readonly baselineShift: number;
  readonly href: string | undefined;
  /** The opacity of the elements inside the text, 0–1. */
  readonly opacity: number;
  readonly along?: XmlNode;
}

/** The letters of a `text` element in order, white space collapsed. */
export function lettersOf(node: XmlNode, here: Here): Flat {
  const flat: Flat = { letters: [], stretches: [], oddities: new Set() };
  flatten(node, here, { computed: here.computed, baselineShift: 0, href: undefined, opacity: 1 }, flat);
  trimEnd(flat.letters);
  if (/^(vertical|tb)/.test(here.computed.style['writing-mode'])) flat.oddities.add(PLACED.vertical);
  return flat;
}

function flatten(node: XmlNode, here: Here, around: Around, flat: Flat): void {
  const { computed } = around;
  const start = flat.letters.length;
  if (computed.style.display === 'none') return;
  if (node.name === 'textPath') flat.oddities.add(PLACED.path);
  if (turnsDirection(computed, here.computed)) flat.oddities.add('letters in two directions');
  reportUnsetStyles(here, computed);
  const keep = node.attributes['xml:space'] === 'preserve' || keepsSpace(computed) || preserves(node);
  for (const child of node.children) {
    if (typeof child === 'string')
      appendLetters(transformCase(child, computed, flat.letters.at(-1)?.text), keep, around, flat.letters);
    else if (child.name === 'tspan' || child.name === 'a' || child.name === 'textPath') {
      flatten(child, here, inner(child, around, here), flat);
    } else if (!['title', 'desc', 'animate', 'set'].includes(child.name) && !child.name.includes(':')) {
      here.context.report('element-unknown', here.parent, { element: child.name });
    }
  }
  applyPositions(node, here, computed, flat, start);
}

/** CSS Writing Modes 3, §2.2: a stretch that runs against its text, or has its order overruled. */
function turnsDirection({ style }: Computed, text: Computed): boolean {
  return style.direction !== text.style.direction || /override/.test(style['unicode-bidi']);
}

function inner(node: XmlNode, around: Around, here: Here): Around {
  const computed = computeStyle(node, around.computed, here.context.cascade);
  const href = node.name === 'a' ? safeHref(hrefOf(node)) : undefined;
  return {
    computed,
    baselineShift: around.baselineShift + baselineShiftOf(computed, here),
    href: href ?? around.href,
    opacity: around.opacity * parseShare(computed.style.opacity),
    ...(node.name === 'textPath' ? { along: node } : around.along && { along: around.along }),
  };
}

/** SVG 1.1, §10.9.2; `sub` and `super` move by half the height of the letters, as browsers have it. */
function baselineShiftOf(computed: Computed, { context }: Here): number {
  const shift = computed.style['baseline-shift'];
  if (shift === 'baseline') return 0;
  const way = { sub: -0.5, super: 0.5 }[shift];
  if (way === undefined)
    return parseLength(shift, { fontSize: computed.fontSize, percentOf: computed.fontSize }) ?? 0;
  const { metrics } = context.book.face(faceWish(computed));
  return (way * (metrics.ascent + metrics.descent) * computed.fontSize) / metrics.unitsPerEm;
}

/** Properties that Orden reads but does not set yet, with the values that change nothing. */
const UNSET: readonly (readonly [Property, RegExp])[] = [
  ['font-variant', /^(normal|none|small-caps)$/],
  ['font-stretch', /^(normal|100%)$/],
];

function reportUnsetStyles({ context, parent }: Here, { style }: Computed): void {
  for (const [property, plain] of UNSET) {
    if (!plain.test(style[property]))
      context.report('value-ignored', parent, { property, value: style[property] });
  }
}

function keepsSpace({ style }: Computed): boolean {
  return ['pre', 'pre-wrap', 'break-spaces'].includes(style['white-space']);
}

function preserves(node: XmlNode): boolean {
  for (let next: XmlNode | null = node; next; next = next.parent) {
    const space = next.attributes['xml:space'];
    if (space !== undefined) return space === 'preserve';
  }
  return false;
}

/**
 * The letters in the case that the style asks for (CSS Text 3, §2.1).
 * @param before the letter before them
 */
function transformCase(text: string, { style }: Computed, before: string | undefined): string {
  switch (style['text-transform']) {
    case 'uppercase':
      return text.toUpperCase();
    case 'lowercase':
      return text.toLowerCase();
    case 'capitalize': {
      const inWord = before !== undefined && /[\p{L}\p{N}\p{M}]/u.test(before);
      const capital = (_: string, lead: string, letter: string) => lead + letter.toUpperCase();
      const words = text.replace(/([^\p{L}\p{N}\p{M}'’])(\p{L})/gu, capital);
      return inWord ? words : words.replace(/^()(\p{L})/u, capital);
    }
    default:
      return text;
  }
}

/** White space collapses across elements, as in CSS Text 3, §4.1. */
function appendLetters(text: string, keep: boolean, around: Around, letters: Letter[]): void {
  for (const letter of text) {
    const space = /[\t\n\r ]/.test(letter);
    if (space && !keep && (letters.length === 0 || letters.at(-1)?.text === ' ')) continue;
    letters.push({ text: space ? ' ' : letter, keep, ...around });
  }
}

function trimEnd(letters: Letter[]): void {
  const last = letters.at(-1);
  if (last?.text === ' ' && !last.keep) letters.pop();
}

/** The last angle holds for all further letters (SVG 2, §11.4.3). */
function turnLetters({ attributes }: XmlNode, flat: Flat, start: number): void {
  const angles = (attributes.rotate ?? '')
    .split(/[\s,]+/)
    .map(Number)
    .filter(Number.isFinite);
  if (!angles.some((angle) => angle !== 0)) return;
  flat.oddities.add(PLACED.turned);
  flat.letters.slice(start).forEach((letter, at) => {
    letter.turn ??= angles[Math.min(at, angles.length - 1)]!;
  });
}

function applyPositions(node: XmlNode, here: Here, computed: Computed, flat: Flat, start: number): void {
  const end = flat.letters.length;
  const { width, height } = here.viewport;
  const list = (name: string, percentOf: number) =>
    parseLengths(node.attributes[name] ?? '', { fontSize: computed.fontSize, percentOf });
  const places = [
    ['x', list('x', width)],
    ['y', list('y', height)],
    ['dx', list('dx', width)],
    ['dy', list('dy', height)],
  ] as const;
  for (const [name, values] of places) {
    values.forEach((value, at) => {
      const letter = flat.letters[start + at];
      // An inner element was flattened first and has the last word.
      if (letter && letter[name] === undefined) letter[name] = value;
    });
  }
  turnLetters(node, flat, start);
  const length = parseLength(node.attributes.textLength ?? '', {
    fontSize: computed.fontSize,
    percentOf: width,
  });
  const adjusts = node.attributes.lengthAdjust === 'spacingAndGlyphs' ? 'glyphs' : 'spacing';
  if (length !== null && length > 0 && end > start) flat.stretches.push({ start, end, length, adjusts });
}
