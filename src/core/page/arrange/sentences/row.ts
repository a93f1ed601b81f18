import { boxAround, type Box, type Edges } from '../../../mockup/box';
import { borderInsets, type Look, type TypeLook } from '../../../look/look';
import type { TextSpan } from '../../node';
import { lettersOf } from '../letters';
import { toThousandths } from '../lengths';
import { hasBox, type Fragment, type Piece } from './pieces';

/** What stands of a piece in a line, with its piece. */
export interface Placed extends Fragment {
  readonly piece: Piece;
}

/** A line of the sentence. */
export interface Row {
  readonly box: Box;
  readonly stretch: number;
  readonly hang: number;
  readonly spans: readonly TextSpan[];
}

/**
 * Px by which pieces may stand apart otherwise than with or without a space between them: what stands beside each other in
 * a single line may have a gap of its own; in a paragraph, and where letters are stretched, it is less exact.
 */
const EXACT = 0.2;
const ABOUT = 0.35;
const ROUGH = 1.5;
/** Px by which the edges of boxes are drawn beside where they are: at whole px. */
const SNAPPED = 0.5;
/** Px by which words may come to stand elsewhere in a line whose pieces are drawn stretched by different shares. */
const DRIFT = 3;

/**
 * The pieces of a line as its runs, with the spaces between them; null when they stand apart otherwise than words do.
 * @param main the piece whose look the sentence has
 * @param isLine true for a sentence of one line
 */
export function joinRow(fragments: readonly Placed[], main: Piece, isLine: boolean): Row | null {
  const spans: TextSpan[] = [];
  const starts: number[] = [];
  let natural = 0;
  const isDrawn = fragments.every(({ stretch }) => stretch === 1);
  const exact = isDrawn ? (isLine ? EXACT : ABOUT) : isLine ? ABOUT : ROUGH;
  const common = [commonStretch(fragments, main), 1].find((stretch) => isReadable(fragments, stretch));
  if (common === undefined) return null;
  for (const [at, fragment] of fragments.entries()) {
    const before = fragments[at - 1];
    const spacing = ownSpacing(fragment, common);
    const own = fragment.spans.map((span) => dressed(span, { spacing, common }, fragment.piece, main));
    if (before) {
      const gap = gapBetween(before, fragment, common, exact);
      if (!gap) return null;
      if (gap.pad > 0) setApart(spans, own, fragment.piece.beneath ? 'next' : 'last', gap.pad);
      const owner = gap.isSpace ? addSpace(spans, own, gap.off) : 'none';
      const widths = {
        none: 0,
        last: spaceIn(before, common),
        next: spaceIn(fragment, common),
        own: main.node.space,
      };
      natural += gap.pad + widths[owner];
    }
    starts.push(natural);
    spans.push(...own);
    natural += lettersWidth(fragment) / (spacing === 0 ? fragment.stretch : common) + fragment.room / common;
  }
  const box = boxAround(fragments.map(({ x, width, baseline }) => ({ x, width, y: baseline, height: 0 })));
  const whole = box.width / natural;
  const stretch = isDrawn || Math.abs(whole - 1) * box.width <= ABOUT ? 1 : whole;
  const drift = fragments.map(({ x }, at) => Math.abs(box.x + starts[at]! * stretch - x));
  return Math.max(...drift) > DRIFT
    ? null
    : { box, stretch, hang: fragments.at(-1)?.hang ?? 0, spans: merged(spans) };
}

/** What stands between two pieces, as wide as it is before their row is stretched. */
interface Gap {
  /** Px of padding between words and a box that lies beneath them. */
  readonly pad: number;
  readonly isSpace: boolean;
  /** Whether a space in the type of the last or the next word would be of another width than it was drawn. */
  readonly off: { readonly last: boolean; readonly next: boolean };
}

/**
 * What stands between two pieces; null when they stand apart otherwise than words do.
 * @param exact px by which that may be off
 */
function gapBetween(before: Placed, after: Placed, common: number, exact: number): Gap | null {
  const apart = (after.x - before.x - before.width) / common;
  const pad = padBetween(before, after, apart);
  const gap = apart - pad;
  const slack = hasBox(before.piece) || hasBox(after.piece) ? exact + SNAPPED : exact;
  const spaces = [before.piece.node.space, after.piece.node.space];
  const isSpace = gap >= Math.min(...spaces) - slack && gap <= Math.max(...spaces) + slack;
  if (!isSpace && Math.abs(gap) > slack) return null;
  const isOff = (each: Placed) =>
    Math.abs(each.piece.node.space - gap) > SAME_SPACE || ownSpacing(each, common) !== 0;
  return { pad, isSpace, off: { last: isOff(before), next: isOff(after) } };
}

/** Common practice, no source: px of padding at most beside words that have a box in a line. */
const PADDING = 8;
/** What follows words without a space (common practice, no source). */
const GLUED = /^[,.;:!?)\]]/;

/** The padding between words and their box that lies beneath them, px: what is no space of the gap to what is beside them. */
function padBetween(before: Placed, after: Placed, gap: number): number {
  if (!before.piece.beneath && !after.piece.beneath) return 0;
  const isGlued = GLUED.test(after.spans[0]?.text ?? '');
  const pad = isGlued ? gap : gap - Math.min(before.piece.node.space, after.piece.node.space);
  return pad > SAME_SPACE && pad <= PADDING ? toThousandths(pad) : 0;
}

/** Gives the padding to the last word before it or the next one after it. */
function setApart(spans: TextSpan[], next: TextSpan[], side: 'last' | 'next', pad: number): void {
  const [list, at] = side === 'last' ? [spans, spans.length - 1] : [next, 0];
  const span = list[at]!;
  const padding = { top: 0, bottom: 0, left: side === 'next' ? pad : 0, right: side === 'last' ? pad : 0 };
  list[at] = { ...span, look: { ...span.look, padding } };
}

/**
 * How much wider the letters of a row are drawn than they are: not at all where a good part of them is not, else most of them,
 * those of the sentence's own type where it has some.
 */
function commonStretch(fragments: readonly Placed[], { type }: Piece): number {
  const asTheyAre = fragments.filter(({ stretch }) => stretch === 1);
  if (drawnWidth(asTheyAre) >= drawnWidth(fragments) * AS_THEY_ARE) return 1;
  const own = fragments.filter(({ piece }) => sameLook(piece.type, type));
  const counted = own.length > 0 ? own : fragments;
  return drawnWidth(counted) / counted.reduce((sum, each) => sum + lettersWidth(each) / each.stretch, 0);
}

/** The share of a row that is drawn as it is, from which on the rest has spaced letters instead. */
const AS_THEY_ARE = 0.2;

function drawnWidth(fragments: readonly Placed[]): number {
  return fragments.reduce((sum, each) => sum + lettersWidth(each), 0);
}

function lettersWidth({ width, room }: Fragment): number {
  return width - room;
}

/** Common practice, no source: letters that are spaced by more of their size read as another type. */
const SPACED = 0.15;

/** True where no letters come out as another type, all of the row being stretched by `common`. */
function isReadable(fragments: readonly Placed[], common: number): boolean {
  return fragments.every((each) => {
    const spacing = Math.abs(ownSpacing(each, common));
    // Of short words, a space that was counted in one of two widths makes up a good part.
    const { node, type } = each.piece;
    return spacing <= type.size * SPACED || spacing * lettersOf(each.spans) <= node.space + UNSPACED;
  });
}

/** Px by which a piece may come out wider or narrower before its letters are spaced instead. */
const UNSPACED = 1;

/** Px between the letters of a piece that is stretched by another share than the rest of its row, so that it is as wide. */
function ownSpacing(fragment: Fragment, common: number): number {
  const { stretch } = fragment;
  const width = lettersWidth(fragment);
  if (Math.abs(width - (width / stretch) * common) <= UNSPACED) return 0;
  return toThousandths((width / common - width / stretch) / lettersOf(fragment.spans));
}

/** Px by which a space may be wider than the gap that it fills. */
const SAME_SPACE = 0.5;

/** Whose letters a space between two pieces belongs to: those before it, after it, or the sentence's own. */
type Owner = 'none' | 'last' | 'next' | 'own';

/** A space stands in the sentence's own look where it can, and neither in a link nor underlined. */
function addSpace(spans: TextSpan[], next: TextSpan[], off: Gap['off']): Owner {
  const [last, first] = [spans.at(-1), next[0]];
  if (!last || !first || /\s$/.test(last.text) || /^\s/.test(first.text)) return 'none';
  const owner = spaceOwner(last, first, off);
  if (owner === 'last') spans[spans.length - 1] = { ...last, text: `${last.text} ` };
  else if (owner === 'next') next[0] = { ...first, text: ` ${first.text}` };
  else spans.push({ text: ' ', look: {} });
  return owner;
}

function spaceOwner(last: TextSpan, first: TextSpan, off: Gap['off']): Exclude<Owner, 'none'> {
  if (isOwnSpan(first) && !isOwnSpan(last)) return 'next';
  if (isPlainSpan(last) && !off.last) return 'last';
  return isPlainSpan(first) && !off.next ? 'next' : 'own';
}

/** True for words in the sentence's own look. */
function isOwnSpan(span: TextSpan): boolean {
  return span.href === undefined && span.look.type === undefined && !isBoxed(span);
}

/** How wide a space in a piece comes out before its row is stretched, px. */
function spaceIn(each: Placed, common: number): number {
  return each.piece.node.space + ownSpacing(each, common);
}

function isPlainSpan(span: TextSpan): boolean {
  const { look, href } = span;
  return href === undefined && (look.type?.decorations.length ?? 0) === 0 && !isBoxed(span);
}

function isBoxed({ look }: TextSpan): boolean {
  return look.padding !== undefined;
}

/** How the letters of a piece are set in a row that is stretched by `common`. */
interface Setting {
  readonly spacing: number;
  readonly common: number;
}

/** A span in the sentence's own look, or with all that is otherwise. */
function dressed(span: TextSpan, { spacing, common }: Setting, piece: Piece, { type }: Piece): TextSpan {
  const own = span.look.type ?? piece.type;
  const letterSpacing = own.letterSpacing + spacing;
  const inside: TypeLook = { ...own, letterSpacing, lineHeight: null, align: type.align };
  const { type: _, ...look } = span.look;
  const box = look.padding && common !== 1 ? { ...look, padding: widened(look.padding, look, common) } : look;
  return { ...span, look: sameLook(inside, { ...type, lineHeight: null }) ? box : { ...box, type: inside } };
}

/** The padding that is as wide as it was drawn once its row is stretched. */
function widened(padding: Edges, look: Look, common: number): Edges {
  const borders = borderInsets(look);
  const side = (name: 'left' | 'right') =>
    toThousandths(Math.max(0, (padding[name] + borders[name]) / common - borders[name]));
  return { ...padding, left: side('left'), right: side('right') };
}

function sameLook(one: object, other: object): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

function merged(spans: readonly TextSpan[]): readonly TextSpan[] {
  const list: TextSpan[] = [];
  for (const span of spans) {
    const last = list.at(-1);
    if (last && last.href === span.href && !isBoxed(span) && sameLook(last.look, span.look))
      list[list.length - 1] = { ...last, text: last.text + span.text };
    else list.push(span);
  }
  return list;
}
