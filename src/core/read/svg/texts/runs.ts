import type { TextLine, TextRun } from '../../../mockup/layer';
import { memoizeByObject, memoizeText } from '../../../mockup/memoize';
import type { TypeStyle } from '../../../mockup/type';
import { smallCapsParts } from '../../../type/smallCaps';
import type { FontQuery } from '../../../type/fontBook';
import type { Computed } from '../computed';
import type { SvgContext } from '../context';
import { parseLength } from '../lengths';
import type { Letter } from './letters';

/** A run before its paints are known: gradients measure the box of the whole text. */
export interface PlainRun extends Omit<TextRun, 'fill' | 'stroke'> {
  readonly computed: Computed;
  /** The opacity of the elements around the run inside its text, 0–1. */
  readonly opacity: number;
}

export interface PlainLine extends Omit<TextLine, 'runs'> {
  readonly runs: readonly PlainRun[];
}

/** Letters of one style that follow each other. */
export interface Piece extends Pick<Letter, 'text' | 'computed' | 'baselineShift' | 'opacity'> {
  readonly href?: string | undefined;
}

/** True when letters go on in the style, height and link of those before. */
export function continues(
  before: Omit<Piece, 'text'>,
  { computed, baselineShift, href, opacity }: Omit<Piece, 'text'>,
): boolean {
  return (
    before.computed === computed &&
    before.baselineShift === baselineShift &&
    before.href === href &&
    before.opacity === opacity
  );
}

export function piecesOf(letters: readonly Letter[]): Piece[] {
  const pieces: { -readonly [K in keyof Piece]: Piece[K] }[] = [];
  for (const { text, computed, baselineShift, href, opacity } of letters) {
    const last = pieces.at(-1);
    if (last && continues(last, { computed, baselineShift, href, opacity })) last.text += text;
    else pieces.push({ text, computed, baselineShift, href, opacity });
  }
  return pieces;
}

export function totalWidth(runs: readonly PlainRun[]): number {
  return runs.reduce((sum, run) => sum + run.width, 0);
}

/** Sets a piece in its face; `extraSpacing` comes on top of its own letter spacing, px. */
export function measureRun(piece: Piece, context: SvgContext, extraSpacing: number): PlainRun {
  const style = typeStyle(piece.computed, extraSpacing);
  const face = context.book.face(style);
  context.faces.set(face.id, face);
  const letters = [...piece.text].length;
  const spaces = piece.text.split(' ').length - 1;
  const advance = (text: string, size: number) => context.book.advance(face.id, text, size);
  const set = style.smallCaps
    ? smallCapsParts(piece.text).reduce((sum, part) => sum + advance(part.text, style.size * part.scale), 0)
    : advance(piece.text, style.size);
  const width = set + letters * style.letterSpacing + spaces * style.wordSpacing;
  const { text, computed, baselineShift, href, opacity } = piece;
  const linked = href !== undefined && { href };
  return { text, style, face: face.id, width, baselineShift, ...linked, computed, opacity };
}

export function typeStyle(computed: Computed, extraSpacing: number): TypeStyle {
  const known = plainTypeStyle(computed);
  return extraSpacing === 0 ? known : { ...known, letterSpacing: known.letterSpacing + extraSpacing };
}

const plainTypeStyle = memoizeByObject(({ style, fontSize }: Computed): TypeStyle => {
  const lines = style['text-decoration'];
  const spacing = (value: string) => parseLength(value, { fontSize, percentOf: fontSize }) ?? 0;
  return {
    ...faceWish({ style }),
    size: fontSize,
    letterSpacing: spacing(style['letter-spacing']),
    wordSpacing: spacing(style['word-spacing']),
    underline: lines.includes('underline'),
    overline: lines.includes('overline'),
    lineThrough: lines.includes('line-through'),
    smallCaps: style['font-variant'] === 'small-caps',
    exact: style['text-rendering'].toLowerCase() === 'geometricprecision',
  };
});

/** What the style asks of a face. */
export function faceWish({ style }: Pick<Computed, 'style'>): FontQuery {
  return {
    families: parseFamilies(style['font-family']),
    weight: Number(style['font-weight']) || 400,
    italic: /italic|oblique/.test(style['font-style']),
  };
}

/** The names of a `font-family` list, without quotes. */
export const parseFamilies = memoizeText((list: string): readonly string[] => {
  const names = list.match(/"[^"]*"|'[^']*'|[^,]+/g) ?? [];
  return names.map((name) => name.trim().replace(/^["']|["']$/g, '')).filter((name) => name !== '');
});

/**
 * How far below the given y the alphabetic baseline lies, px (CSS Inline 3, §4.2; SVG 1.1, §10.9.2). Browsers take the
 * letters' extents in whole px of the screen.
 * @param scale px of the screen that one px is long
 */
export function dominantBaselineShift(run: PlainRun | undefined, context: SvgContext, scale: number): number {
  const metrics = run && context.faces.get(run.face)?.metrics;
  if (!metrics) return 0;
  const em = run.style.size / metrics.unitsPerEm;
  const whole = (length: number) => (scale > 0 ? Math.round(length * em * scale) / scale : length * em);
  const [ascent, descent] = [whole(metrics.ascent), whole(metrics.descent)];
  const { 'alignment-baseline': own, 'dominant-baseline': dominant } = run.computed.style;
  switch (own === 'auto' || own === 'baseline' ? dominant : own) {
    case 'middle':
      return (metrics.xHeight / 2) * em;
    case 'central':
      return (ascent - descent) / 2;
    case 'hanging':
      return ascent * 0.8;
    case 'mathematical':
      return ascent * 0.5;
    case 'text-before-edge':
    case 'before-edge':
    case 'text-top':
      return ascent;
    case 'text-after-edge':
    case 'after-edge':
    case 'text-bottom':
    case 'ideographic':
      return -descent;
    default:
      return 0;
  }
}
