import { MEASURED, SNAPPED } from '../../tolerances';
import { boxAround, type Box, type Edges } from '../../../mockup/box';
import { borderInsets, type Look, type TypeLook } from '../../../look/look';
import type { TextSpan } from '../../node';
import { lettersOf } from '../letters';
import { toThousandths } from '../lengths';
import { hasBox, type Fragment, type Piece } from './pieces';

/** The fragment of a piece, with its piece. */
export interface Placed extends Fragment {
  readonly piece: Piece;
}

/** A line of the sentence. */
export interface Row {
  readonly box: Box;
  readonly stretch: number;
  readonly trailingSpace: number;
  readonly spans: readonly TextSpan[];
}

/**
 * The pieces of a line as its spans, with the spaces between them; null when their gaps are no word spaces.
 * @param main the piece whose look the sentence has
 * @param isLine true for a sentence of one line
 */
export function joinRow(fragments: readonly Placed[], main: Piece, isLine: boolean): Row | null {
  const spans: TextSpan[] = [];
  const starts: number[] = [];
  let natural = 0;
  const isDrawn = fragments.every(({ stretch }) => stretch === 1);
  const { inLine, inParagraph, inStretchedParagraph } = MEASURED.gap;
  const exact = isDrawn ? (isLine ? inLine : inParagraph) : isLine ? inParagraph : inStretchedParagraph;
  const common = [commonStretch(fragments, main), 1].find((stretch) => isReadable(fragments, stretch));
  if (common === undefined) return null;
  for (const [at, fragment] of fragments.entries()) {
    const before = fragments[at - 1];
    const spacing = ownSpacing(fragment, common);
    const own = fragment.spans.map((span) => withSetting(span, { spacing, common }, fragment.piece, main));
    if (before) {
      const gap = gapBetween(before, fragment, common, exact);
      if (!gap) return null;
      if (gap.padding > 0) addPadding(spans, own, fragment.piece.beneath ? 'next' : 'last', gap.padding);
      const owner = gap.isSpace ? addSpace(spans, own, gap.off) : 'none';
      const widths = {
        none: 0,
        last: spaceIn(before, common),
        next: spaceIn(fragment, common),
        own: main.node.space,
      };
      natural += gap.padding + widths[owner];
    }
    starts.push(natural);
    spans.push(...own);
    natural +=
      lettersWidth(fragment) / (spacing === 0 ? fragment.stretch : common) + fragment.extraWidth / common;
  }
  const box = boxAround(fragments.map(({ x, width, baseline }) => ({ x, width, y: baseline, height: 0 })));
  const whole = box.width / natural;
  const stretch = isDrawn || Math.abs(whole - 1) * box.width <= MEASURED.gap.inParagraph ? 1 : whole;
  const drift = fragments.map(({ x }, at) => Math.abs(box.x + starts[at]! * stretch - x));
  return Math.max(...drift) > MEASURED.drift
    ? null
    : { box, stretch, trailingSpace: fragments.at(-1)?.trailingSpace ?? 0, spans: merged(spans) };
}

/** The gap between two pieces, before their row is stretched. */
interface Gap {
  /** Px of padding between words and a box beneath them. */
  readonly padding: number;
  readonly isSpace: boolean;
  /** Whether a space in the type of the last or the next word would have another width than drawn. */
  readonly off: { readonly last: boolean; readonly next: boolean };
}

/**
 * The gap between two pieces; null when it is no word space.
 * @param exact px by which it may be off
 */
function gapBetween(before: Placed, after: Placed, common: number, exact: number): Gap | null {
  const apart = (after.x - before.x - before.width) / common;
  const padding = paddingBetween(before, after, apart);
  const gap = apart - padding;
  const slack = hasBox(before.piece) || hasBox(after.piece) ? exact + SNAPPED : exact;
  const spaces = [before.piece.node.space, after.piece.node.space];
  const isSpace = gap >= Math.min(...spaces) - slack && gap <= Math.max(...spaces) + slack;
  if (!isSpace && Math.abs(gap) > slack) return null;
  const isOff = (each: Placed) =>
    Math.abs(each.piece.node.space - gap) > MEASURED.space || ownSpacing(each, common) !== 0;
  return { padding, isSpace, off: { last: isOff(before), next: isOff(after) } };
}

/** Common practice, no source: the largest padding beside words with an inline box, px. */
const PADDING = 8;
/** Characters that follow words without a space (common practice, no source). */
const WITHOUT_SPACE = /^[,.;:!?)\]]/;

/** The padding between words and the box beneath them, px: it is not part of the gap to the next piece. */
function paddingBetween(before: Placed, after: Placed, gap: number): number {
  if (!before.piece.beneath && !after.piece.beneath) return 0;
  const isGlued = WITHOUT_SPACE.test(after.spans[0]?.text ?? '');
  const padding = isGlued ? gap : gap - Math.min(before.piece.node.space, after.piece.node.space);
  return padding > MEASURED.space && padding <= PADDING ? toThousandths(padding) : 0;
}

/** Adds padding to the last word before it or to the next one after it. */
function addPadding(spans: TextSpan[], next: TextSpan[], side: 'last' | 'next', padding: number): void {
  const [list, at] = side === 'last' ? [spans, spans.length - 1] : [next, 0];
  const span = list[at]!;
  const edges = {
    top: 0,
    bottom: 0,
    left: side === 'next' ? padding : 0,
    right: side === 'last' ? padding : 0,
  };
  list[at] = { ...span, look: { ...span.look, padding: edges } };
}

/**
 * The stretch of a row's letters: none when a good share of them has none, else the commonest, preferring
 * letters in the sentence's own type.
 */
function commonStretch(fragments: readonly Placed[], { type }: Piece): number {
  const asTheyAre = fragments.filter(({ stretch }) => stretch === 1);
  if (drawnWidth(asTheyAre) >= drawnWidth(fragments) * UNSTRETCHED_SHARE) return 1;
  const own = fragments.filter(({ piece }) => sameLook(piece.type, type));
  const counted = own.length > 0 ? own : fragments;
  return drawnWidth(counted) / counted.reduce((sum, each) => sum + lettersWidth(each) / each.stretch, 0);
}

/** The share of unstretched letters from which the rest gets letter spacing instead. */
const UNSTRETCHED_SHARE = 0.2;

function drawnWidth(fragments: readonly Placed[]): number {
  return fragments.reduce((sum, each) => sum + lettersWidth(each), 0);
}

function lettersWidth({ width, extraWidth }: Fragment): number {
  return width - extraWidth;
}

/** Common practice, no source: letter spacing beyond this share of the size reads as another type. */
const LARGEST_SPACING = 0.15;

/** True when the row stretched by `common` changes no letters visibly. */
function isReadable(fragments: readonly Placed[], common: number): boolean {
  return fragments.every((each) => {
    const spacing = Math.abs(ownSpacing(each, common));
    // In short words, a space of the other width is a large share.
    const { node, type } = each.piece;
    return (
      spacing <= type.size * LARGEST_SPACING || spacing * lettersOf(each.spans) <= node.space + MEASURED.width
    );
  });
}

/** The letter spacing, px, that keeps the width of a piece whose stretch differs from the rest of its row. */
function ownSpacing(fragment: Fragment, common: number): number {
  const { stretch } = fragment;
  const width = lettersWidth(fragment);
  if (Math.abs(width - (width / stretch) * common) <= MEASURED.width) return 0;
  return toThousandths((width / common - width / stretch) / lettersOf(fragment.spans));
}

/**
 * The letters that a space between two pieces belongs to: the last ones, the next ones, or the sentence's
 * own.
 */
type Owner = 'none' | 'last' | 'next' | 'own';

/** Adds a space in the sentence's own look where possible, neither in a link nor underlined. */
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

/** The width of a space in a piece before its row is stretched, px. */
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

/** The spacing of a piece's letters in a row that is stretched by `common`. */
interface Setting {
  readonly spacing: number;
  readonly common: number;
}

/** A span in the sentence's own look, or with the differences. */
function withSetting(span: TextSpan, { spacing, common }: Setting, piece: Piece, { type }: Piece): TextSpan {
  const own = span.look.type ?? piece.type;
  const letterSpacing = own.letterSpacing + spacing;
  const inside: TypeLook = { ...own, letterSpacing, lineHeight: null, align: type.align };
  const { type: _, ...look } = span.look;
  const box = look.padding && common !== 1 ? { ...look, padding: widened(look.padding, look, common) } : look;
  return { ...span, look: sameLook(inside, { ...type, lineHeight: null }) ? box : { ...box, type: inside } };
}

/** The padding that has its drawn width once the row is stretched. */
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
