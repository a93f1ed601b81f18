import type { TextLine, TextRun } from '../../mockup/layer';
import type { TypeStyle } from '../../mockup/type';
import type { XmlNode } from '../xml/node';
import { computeStyle, type Computed } from './computed';
import { hrefOf, type Here, type SvgContext } from './context';
import { parseLength, parseLengths } from './lengths';
import type { Property } from './properties';

/** A run before its paints are known: gradients measure the box of the whole text. */
export interface PlainRun extends Omit<TextRun, 'fill' | 'stroke'> {
  readonly computed: Computed;
}

export interface PlainLine extends Omit<TextLine, 'runs'> {
  readonly runs: readonly PlainRun[];
}

export interface LaidText {
  readonly lines: readonly PlainLine[];
  readonly align: 'start' | 'middle' | 'end';
  readonly oddities: readonly string[];
}

/** One addressable character with what the file says about its place (SVG 2, §11.5). */
interface Letter {
  readonly text: string;
  readonly computed: Computed;
  /** True when white space counts here. */
  readonly keep: boolean;
  x?: number;
  y?: number;
  dx?: number;
  dy?: number;
}

/** A stretch whose length is set by `textLength`. */
interface Stretch {
  readonly start: number;
  readonly end: number;
  readonly length: number;
  /** What gives way: the gaps between the letters, or the letters too. */
  readonly adjusts: 'spacing' | 'glyphs';
}

interface Flat {
  readonly letters: Letter[];
  readonly stretches: Stretch[];
  readonly oddities: Set<string>;
}

/** Lays out a `text` element: anchors, positions and lengths worked in, letters in line with each other joined. */
export function layText(node: XmlNode, here: Here): LaidText {
  const flat: Flat = { letters: [], stretches: [], oddities: new Set() };
  flatten(node, here, here.computed, flat);
  trimEnd(flat.letters);
  if (
    here.computed.style['writing-mode'].startsWith('vertical') ||
    here.computed.style['writing-mode'] === 'tb'
  ) {
    flat.oddities.add('vertical writing');
  }
  const anchor = here.computed.style['text-anchor'];
  return {
    lines: joinLines(placeSegments(flat, here.context)).map((line) => trimLine(line, here.context)),
    align: anchor === 'middle' || anchor === 'end' ? anchor : 'start',
    oddities: [...flat.oddities],
  };
}

function flatten(node: XmlNode, here: Here, computed: Computed, flat: Flat): void {
  const start = flat.letters.length;
  if (computed.style.display === 'none') return;
  if (node.name === 'a')
    here.context.report('link-lost', here.parentKey, { target: (hrefOf(node) ?? '').slice(0, 80) });
  if (node.name === 'textPath') flat.oddities.add('letters along a path');
  reportUnsetStyles(here, computed);
  const keep = node.attributes['xml:space'] === 'preserve' || keepsSpace(computed) || preserves(node);
  for (const child of node.children) {
    if (typeof child === 'string') appendLetters(child, keep, computed, flat.letters);
    else if (child.name === 'tspan' || child.name === 'a' || child.name === 'textPath') {
      flatten(child, here, computeStyle(child, computed, here.context.cascade), flat);
    } else if (!['title', 'desc', 'animate', 'set'].includes(child.name) && !child.name.includes(':')) {
      here.context.report('element-unknown', here.parentKey, { element: child.name });
    }
  }
  applyPositions(node, here, computed, flat, start);
}

/** Properties that Orden reads but does not set yet, with the values that change nothing. */
const UNSET: readonly (readonly [Property, RegExp])[] = [
  ['font-variant', /^(normal|none)$/],
  ['font-stretch', /^(normal|100%)$/],
  ['direction', /^ltr$/],
  ['baseline-shift', /^(baseline|0(px|%|em)?)$/],
];

function reportUnsetStyles({ context, parentKey }: Here, { style }: Computed): void {
  for (const [property, plain] of UNSET) {
    if (!plain.test(style[property]))
      context.report('value-ignored', parentKey, { property, value: style[property] });
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

/** White space collapses across elements, as in CSS Text 3, §4.1. */
function appendLetters(text: string, keep: boolean, computed: Computed, letters: Letter[]): void {
  for (const letter of text) {
    const space = /[\t\n\r ]/.test(letter);
    if (space && !keep && (letters.length === 0 || letters.at(-1)?.text === ' ')) continue;
    letters.push({ text: space ? ' ' : letter, computed, keep });
  }
}

function trimEnd(letters: Letter[]): void {
  const last = letters.at(-1);
  if (last?.text === ' ' && !last.keep) letters.pop();
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
  if (/[1-9]/.test(node.attributes.rotate ?? '')) flat.oddities.add('turned letters');
  const length = parseLength(node.attributes.textLength ?? '', {
    fontSize: computed.fontSize,
    percentOf: width,
  });
  const adjusts = node.attributes.lengthAdjust === 'spacingAndGlyphs' ? 'glyphs' : 'spacing';
  if (length !== null && length > 0 && end > start) flat.stretches.push({ start, end, length, adjusts });
}

/** Letters of one style that follow each other. */
interface Piece {
  readonly text: string;
  readonly computed: Computed;
  readonly start: number;
}

function piecesOf(letters: readonly Letter[], from: number, to: number): Piece[] {
  const pieces: { text: string; computed: Computed; start: number }[] = [];
  for (let at = from; at < to; at++) {
    const letter = letters[at];
    if (!letter) continue;
    const last = pieces.at(-1);
    if (last && last.computed === letter.computed) last.text += letter.text;
    else pieces.push({ text: letter.text, computed: letter.computed, start: at });
  }
  return pieces;
}

/** Splits at absolute positions into chunks and at shifts into segments, measures, and works in the anchor. */
function placeSegments(flat: Flat, context: SvgContext): PlainLine[] {
  const { letters } = flat;
  const lines: PlainLine[] = [];
  const starts = letters.flatMap((letter, at) =>
    at === 0 || letter.x !== undefined || letter.y !== undefined ? [at] : [],
  );
  let pen = { x: 0, y: 0 };
  starts.forEach((start, index) => {
    const end = starts[index + 1] ?? letters.length;
    pen = { x: letters[start]?.x ?? pen.x, y: letters[start]?.y ?? pen.y };
    const chunk: PlainLine[] = [];
    let segmentStart = start;
    for (let at = start + 1; at <= end; at++) {
      const shifted = at === end || letters[at]?.dx !== undefined || letters[at]?.dy !== undefined;
      if (!shifted) continue;
      const first = letters[segmentStart];
      pen = { x: pen.x + (first?.dx ?? 0), y: pen.y + (first?.dy ?? 0) };
      const segment = measureSegment(flat, segmentStart, at, pen, context);
      chunk.push(segment);
      pen = { x: pen.x + segment.width, y: pen.y };
      segmentStart = at;
    }
    const shift = anchorShift(chunk, letters[start]?.computed);
    lines.push(...chunk.map((segment) => ({ ...segment, x: segment.x + shift })));
    pen = { x: pen.x + shift, y: pen.y };
  });
  return lines.filter((line) => line.runs.some((run) => run.text.trim() !== ''));
}

function anchorShift(chunk: readonly PlainLine[], computed: Computed | undefined): number {
  const [first] = chunk;
  const last = chunk.at(-1);
  if (!first || !last || !computed) return 0;
  const width = last.x + last.width - first.x;
  const anchor = computed.style['text-anchor'];
  return anchor === 'middle' ? -width / 2 : anchor === 'end' ? -width : 0;
}

function measureSegment(
  flat: Flat,
  start: number,
  end: number,
  pen: { readonly x: number; readonly y: number },
  context: SvgContext,
): PlainLine {
  const pieces = piecesOf(flat.letters, start, end);
  const natural = pieces.map((piece) => measureRun(piece, context, 0));
  const { spacing, stretch } = fitLength(flat, start, end, totalWidth(natural));
  const runs = spacing === 0 ? natural : pieces.map((piece) => measureRun(piece, context, spacing));
  const baseline = pen.y + baselineShift(runs[0], context);
  return { x: pen.x, baseline, width: totalWidth(runs) * stretch, stretch, runs };
}

function totalWidth(runs: readonly PlainRun[]): number {
  return runs.reduce((sum, run) => sum + run.width, 0);
}

/** The extra letter spacing in px, or the stretch of the letters, that gives a segment its `textLength`. */
function fitLength(
  flat: Flat,
  start: number,
  end: number,
  natural: number,
): { readonly spacing: number; readonly stretch: number } {
  const wish = flat.stretches.find(
    (one) => one.start === start && Math.min(one.end, flat.letters.length) === end,
  );
  const missing = wish ? wish.length - natural : 0;
  // Within rounding the segment has its length already.
  if (!wish || natural === 0 || Math.abs(missing) < Math.max(0.3, natural * 0.002))
    return { spacing: 0, stretch: 1 };
  if (wish.adjusts === 'glyphs') return { spacing: 0, stretch: wish.length / natural };
  // The last letter has no gap after it (SVG 2, §11.5, "textLength").
  return end - start < 2 ? { spacing: 0, stretch: 1 } : { spacing: missing / (end - start - 1), stretch: 1 };
}

function measureRun(piece: Piece, context: SvgContext, extraSpacing: number): PlainRun {
  const style = typeStyle(piece.computed, extraSpacing);
  const face = context.book.face(style);
  context.faces.set(face.id, face);
  const letters = [...piece.text].length;
  const spaces = piece.text.split(' ').length - 1;
  const width =
    context.book.advance(face.id, piece.text, style.size) +
    letters * style.letterSpacing +
    spaces * style.wordSpacing;
  return { text: piece.text, style, face: face.id, width, computed: piece.computed };
}

function typeStyle({ style, fontSize }: Computed, extraSpacing: number): TypeStyle {
  const lines = style['text-decoration'];
  const spacing = (value: string) => parseLength(value, { fontSize, percentOf: fontSize }) ?? 0;
  return {
    families: parseFamilies(style['font-family']),
    size: fontSize,
    weight: Number(style['font-weight']) || 400,
    italic: /italic|oblique/.test(style['font-style']),
    letterSpacing: spacing(style['letter-spacing']) + extraSpacing,
    wordSpacing: spacing(style['word-spacing']),
    underline: lines.includes('underline'),
    overline: lines.includes('overline'),
    lineThrough: lines.includes('line-through'),
    exact: style['text-rendering'].toLowerCase() === 'geometricprecision',
  };
}

/** The names of a `font-family` list, without quotes. */
export function parseFamilies(list: string): string[] {
  const names = list.match(/"[^"]*"|'[^']*'|[^,]+/g) ?? [];
  return names.map((name) => name.trim().replace(/^["']|["']$/g, '')).filter((name) => name !== '');
}

/** How far below the given y the alphabetic baseline lies, px (CSS Inline 3, §4.2; SVG 1.1, §10.9.2). */
function baselineShift(run: PlainRun | undefined, context: SvgContext): number {
  const metrics = run && context.faces.get(run.face)?.metrics;
  if (!metrics) return 0;
  const em = run.style.size / metrics.unitsPerEm;
  switch (run.computed.style['dominant-baseline']) {
    case 'middle':
      return (metrics.xHeight / 2) * em;
    case 'central':
      return ((metrics.ascent - metrics.descent) / 2) * em;
    case 'hanging':
      return metrics.ascent * 0.8 * em;
    case 'text-before-edge':
    case 'text-top':
      return metrics.ascent * em;
    case 'text-after-edge':
    case 'text-bottom':
    case 'ideographic':
      return -metrics.descent * em;
    default:
      return 0;
  }
}

/** Joins segments on one baseline that follow each other without a gap: per-letter positions come together. */
function joinLines(lines: readonly PlainLine[]): PlainLine[] {
  const joined: PlainLine[] = [];
  for (const line of lines) {
    const last = joined.at(-1);
    const size = line.runs[0]?.style.size ?? 0;
    if (
      last &&
      last.baseline === line.baseline &&
      Math.abs(line.x - last.x - last.width) <= 0.3 + size * 0.02
    ) {
      joined[joined.length - 1] = {
        ...last,
        width: line.x + line.width - last.x,
        runs: joinRuns([...last.runs, ...line.runs]),
      };
    } else {
      joined.push(line);
    }
  }
  return joined;
}

function joinRuns(runs: readonly PlainRun[]): PlainRun[] {
  const joined: PlainRun[] = [];
  for (const run of runs) {
    const last = joined.at(-1);
    if (last && last.computed === run.computed && last.style.letterSpacing === run.style.letterSpacing) {
      joined[joined.length - 1] = { ...last, text: last.text + run.text, width: last.width + run.width };
    } else {
      joined.push(run);
    }
  }
  return joined;
}

/** Spaces at a line's ends are not seen: they only move where it starts. */
function trimLine(line: PlainLine, context: SvgContext): PlainLine {
  const runs = line.runs.filter((run, at) => run.text.trim() !== '' || (at > 0 && at < line.runs.length - 1));
  const cut = (run: PlainRun, text: string): PlainRun => {
    if (text === run.text) return run;
    return measureRun(
      { text, computed: run.computed, start: 0 },
      context,
      run.style.letterSpacing - ownSpacing(run),
    );
  };
  const [first] = runs;
  const lead = first ? first.text.length - first.text.trimStart().length : 0;
  const dropped = line.runs.indexOf(first ?? line.runs[0]!);
  let x = line.x + totalWidth(line.runs.slice(0, Math.max(0, dropped))) * line.stretch;
  const trimmed = runs.map((run, at) => {
    const text = at === 0 ? run.text.slice(lead) : run.text;
    return cut(run, at === runs.length - 1 ? text.trimEnd() : text);
  });
  if (first && lead > 0) x += (first.width - cut(first, first.text.slice(lead)).width) * line.stretch;
  return { ...line, x, width: totalWidth(trimmed) * line.stretch, runs: trimmed };
}

function ownSpacing(run: PlainRun): number {
  return typeStyle(run.computed, 0).letterSpacing;
}
