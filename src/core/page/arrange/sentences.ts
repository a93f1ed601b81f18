import { bottom, boxAround, right, type Box, type Edges } from '../../mockup/box';
import type { LayerKey } from '../../mockup/layer';
import { ofBoxes, withChildren } from '../ofBoxes';
import { placedBox } from '../lower';
import { evenBaselines, evenSpacing, phaseOf, toWholePx, uprightPlace } from '../lowerText';
import type { Role } from '../../sort/vocabulary';
import type { BoxNode, Extents, Page, PageNode, TextNode, TextNodeLine, TextSpan } from '../node';
import { borderInsets, isPlain, type Look, type TypeLook } from '../../look/look';
import { innerBox } from './flow/parts';
import { isMeantOtherwise } from './meaning';
import { soleText } from './soleText';

/**
 * Words of one sentence that the mockup has as several texts, a bold word or a link among plain ones, become one text with
 * runs: each begins in the line in which the one before it ended, a space or nothing after it. Places are those of the screen.
 */
export function joinSentences(page: Page): Page {
  return { ...page, children: joinAll(page.children) };
}

const joined = ofBoxes((node) => {
  const made = withChildren(node, joinAll(node.children));
  return made === node ? node : (soleText(made) ?? withRoom(made, node));
});

/** A group that shows nothing is as large as the lines of what became a sentence in it. */
function withRoom(made: BoxNode, before: BoxNode): BoxNode {
  const known = new Set(before.children);
  const changed = made.children.filter((child) => !known.has(child));
  if (!isPlain(made.look) || made.place.turn) return made;
  return {
    ...made,
    place: { ...made.place, ...boxAround([made, ...changed].map(({ place }) => placedBox(place))) },
  };
}

function joinAll(nodes: readonly PageNode[]): readonly PageNode[] {
  const children: PageNode[] = [];
  let run: Piece[] = [];
  const close = () => {
    children.push(...sentencesOf(run));
    run = [];
  };
  for (const child of nodes.map(joined)) {
    const piece = pieceOf(child);
    if (!piece) close();
    if (piece) run.push(piece);
    else children.push(child);
  }
  close();
  return children;
}

/** What can be part of a sentence. */
interface Piece {
  /** A text, or a box around one. */
  readonly whole: PageNode;
  /** A box that tools draw once around words that go on in the next line: it stays beneath the sentence. */
  readonly beneath?: BoxNode;
  readonly node: TextNode;
  readonly type: TypeLook;
  readonly lines: readonly Fragment[];
}

/** What stands of a piece in one line; px of the screen. */
interface Fragment {
  readonly x: number;
  readonly width: number;
  readonly baseline: number;
  /** How much wider its letters are drawn than they are. */
  readonly stretch: number;
  readonly hang: number;
  /** What is not letters of it: the padding and borders of a box around them. */
  readonly room: number;
  readonly spans: readonly TextSpan[];
}

const HEADINGS: ReadonlySet<string> = new Set(
  ['1', '2', '3', '4', '5', '6'].map((level) => `heading-${level}`),
);
const ROLES: ReadonlySet<string> = new Set(['text', 'paragraph', 'link', ...HEADINGS]);

function pieceOf(node: PageNode): Piece | null {
  return node.kind === 'box' ? boxedPiece(node) : node.kind === 'text' ? textPiece(node) : null;
}

/** What the look of a box may have that is in a line of text. */
const INLINE: ReadonlySet<string> = new Set(['fills', 'border', 'sides', 'radii']);

/** A word or a few with a box around them, as code or keys have it in a sentence. */
function boxedPiece(node: BoxNode): Piece | null {
  const [text, ...more] = node.children;
  const piece = text?.kind === 'text' && more.length === 0 ? textPiece(text) : null;
  const line = piece?.lines[0];
  const span = line?.spans[0];
  if (!piece || !line || !span || line.spans.length > 1) return null;
  const isInline = Object.keys(node.look).every((key) => INLINE.has(key));
  if (!isInline || isMeantOtherwise(node) || node.place.turn) return null;
  if (!BOXED.has(node.role) || (node.role === 'link' && piece.node.role === 'link')) return null;
  if (isPlain(node.look))
    return node.role === 'link'
      ? { ...piece, whole: node, lines: [{ ...line, spans: [linked(span, node)] }] }
      : null;
  if (piece.lines.length > 1)
    return goesOn(piece) ? { ...piece, whole: node, beneath: { ...node, children: [] } } : null;
  const padding = roomAround(node, line, piece.node.extents);
  if (!padding) return null;
  const box = placedBox(node.place);
  const dressedSpan = linked({ ...span, look: { ...span.look, ...node.look, padding } }, node);
  const room = box.width - line.width;
  return {
    ...piece,
    whole: node,
    lines: [{ ...line, x: box.x, width: box.width, room, spans: [dressedSpan] }],
  };
}

/** True for words that begin within a line and go on where the next one begins. */
function goesOn({ lines }: Piece): boolean {
  const [first, next] = lines;
  return first !== undefined && next !== undefined && next.x < first.x - SAME_LINE;
}

const BOXED: ReadonlySet<string> = new Set(['box', 'link']);
/** Px by which letters may reach over the box around them. */
const OVER = 0.5;

/** The padding between letters and their box; null when they reach over it. */
function roomAround(node: BoxNode, line: Fragment, { ascent, descent }: Extents): Edges | null {
  const inner = innerBox(node);
  const sides = [
    line.baseline - ascent - inner.y,
    right(inner) - line.x - line.width,
    bottom(inner) - line.baseline - descent,
    line.x - inner.x,
  ];
  if (sides.some((side) => side < -OVER)) return null;
  const [top, end, below, left] = sides.map(asWritten) as [number, number, number, number];
  return { top, right: end, bottom: below, left };
}

/** Common practice, no source: padding is written in quarters of a px, if not in whole ones; what is off by less was measured. */
const QUARTER = 0.25;
const MEASURED = 0.06;

function asWritten(length: number): number {
  const quarters = Math.round(length / QUARTER) * QUARTER;
  const exact = Math.round(length * 1000) / 1000;
  return Math.max(0, Math.abs(quarters - length) <= MEASURED ? quarters : exact);
}

function textPiece(node: TextNode): Piece | null {
  if (!ROLES.has(node.role)) return null;
  const { type, ...dress } = node.look;
  const { turn, shift = 0 } = node.place;
  if (!type || isMeantOtherwise(node) || Object.keys(dress).length > 0) return null;
  if (type.rightToLeft || type.keepsSpaces || type.lineHeight === null) return null;
  if (turn && (turn[1] !== 0 || turn[2] !== 0 || turn[3] !== 1)) return null;
  const height = type.lineHeight;
  const left = node.place.x + shift;
  const seen = node.place.width * (turn?.[0] ?? 1);
  const share = { start: 0, middle: 0.5, end: 1 }[type.align];
  const lines = node.lines.map(({ spans, width, hang, at }, index): Fragment => ({
    x: left + (at ? at.x : (seen - width) * share),
    width,
    baseline: node.place.y + node.baseline + (at ? at.y : index * height),
    stretch: at?.stretch ?? turn?.[0] ?? 1,
    hang,
    room: 0,
    spans: spans.map((span) => linked(span, node)),
  }));
  return { whole: node, node, type, lines };
}

function linked(span: TextSpan, { role, href }: TextNode | BoxNode): TextSpan {
  return role === 'link' && span.href === undefined ? { ...span, href: href ?? '#' } : span;
}

/** Px by which baselines of one line may differ. */
const SAME_LINE = 1;
/**
 * Px by which pieces may stand apart otherwise than with or without a space between them: what stands beside each other in
 * a single line may have a gap of its own; in a paragraph, and where letters are stretched, it is less exact.
 */
const EXACT = 0.06;
const ABOUT = 0.35;
const ROUGH = 1.5;
/** Px by which the edges of boxes are drawn beside where they are: at whole px. */
const SNAPPED = 0.5;
/** Common practice, no source: by how much letters of one sentence may be larger than others, most of them being large. */
const LARGER = 1.5;
/** Px by which words may come to stand elsewhere in a line whose pieces are drawn stretched by different shares. */
const DRIFT = 3;

/** The pieces as one sentence, or as one in each line, as code has them; what is none stays as it is. */
function sentencesOf(pieces: readonly Piece[]): readonly PageNode[] {
  if (pieces.length < 2) return pieces.map(({ whole }) => whole);
  const sentence = sentenceOf(pieces);
  if (sentence) return [...pieces.flatMap(({ beneath }) => beneath ?? []), sentence];
  const rows: Piece[][] = [];
  for (const piece of pieces) {
    const last = rows.at(-1)?.at(-1)?.lines.at(-1);
    const goesOn = last && Math.abs(last.baseline - piece.lines[0]!.baseline) <= SAME_LINE;
    if (goesOn) rows.at(-1)!.push(piece);
    else rows.push([piece]);
  }
  return rows.length === 1 ? pieces.map(({ whole }) => whole) : rows.flatMap(sentencesOf);
}

/** The pieces as one text; null when they are not one sentence. */
function sentenceOf(pieces: readonly Piece[]): TextNode | null {
  // Links beside each other are choices, not a sentence.
  if (pieces.every((piece) => isLink(piece) || hasBox(piece))) return null;
  const main = mainOf(pieces);
  const sizes = pieces.map(({ type }) => type.size);
  if (Math.max(...sizes) > Math.min(...sizes) * LARGER || Math.max(...sizes) > main.type.size * 1.2)
    return null;
  const rows: Baseline[] = [];
  const edge = Math.max(...pieces.flatMap(({ lines }) => lines.map(({ x, width }) => x + width)));
  for (const piece of pieces) {
    for (const [at, fragment] of piece.lines.entries()) {
      const row = rows.at(-1);
      const continues = row && Math.abs(row.baseline - fragment.baseline) <= SAME_LINE;
      // A piece begins in the line in which the one before it ended, or in the next one where that is full.
      if (row && at === 0 && !continues && !goesOnBelow(fragment, row, { edge, space: main.node.space }))
        return null;
      if (continues) row.fragments.push({ ...fragment, piece });
      else if (row && fragment.baseline < row.baseline) return null;
      else rows.push({ baseline: fragment.baseline, fragments: [{ ...fragment, piece }] });
    }
  }
  const isLine = rows.length === 1;
  const lines = rows.map(({ fragments }) => joinRow(fragments, main, isLine));
  if (lines.some((line) => line === null)) return null;
  const set = lines as readonly Row[];
  const height = lineHeightOf(rows, main);
  const aligned = height === null ? null : alignRows(set, main.node.space);
  if (height === null || aligned === null) return null;
  return textOf(pieces, main, aligned.rows, { height, align: aligned.align });
}

interface Placed extends Fragment {
  readonly piece: Piece;
}

interface Baseline {
  readonly baseline: number;
  readonly fragments: Placed[];
}

/** True for words within a sentence that the line above has no room for; what begins with a capital may be something else. */
function goesOnBelow(
  { x, width, spans }: Fragment,
  { fragments }: Baseline,
  { edge, space }: { readonly edge: number; readonly space: number },
): boolean {
  const [first, last] = [fragments[0]!, fragments.at(-1)!];
  const text = spans.map((span) => span.text).join('');
  const [word = ''] = text.trimStart().split(/\s/);
  const isBelow = x >= first.x - SAME_LINE && x <= first.x + space + SAME_LINE;
  if (/^\p{Lu}/u.test(word) || !isBelow || fragments.length < 2) return false;
  return last.x + last.width + (width * word.length) / text.length > edge;
}

/** A line of the sentence. */
interface Row {
  readonly box: Box;
  readonly stretch: number;
  readonly hang: number;
  readonly spans: readonly TextSpan[];
}

/** The piece whose look the sentence has: in a single line the largest, in a paragraph the longest. */
function mainOf(pieces: readonly Piece[]): Piece {
  const isLine = pieces.every(({ lines }) => lines.length === 1);
  const weigh = (piece: Piece) => (isLine ? piece.type.size * 1000 : 0) + lettersIn(piece);
  const bare = pieces.filter((piece) => !hasBox(piece));
  return bare.reduce((best, piece) => (weigh(piece) > weigh(best) ? piece : best));
}

function hasBox({ whole, beneath }: Piece): boolean {
  return whole.kind === 'box' && !isPlain(whole.look) && !beneath;
}

function isLink({ whole, node }: Piece): boolean {
  return whole.role === 'link' || node.role === 'link';
}

function lettersIn({ node }: Piece): number {
  return node.lines.reduce(
    (sum, { spans }) => sum + spans.reduce((all, { text }) => all + text.length, 0),
    0,
  );
}

function joinRow(fragments: readonly Placed[], main: Piece, isLine: boolean): Row | null {
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
      // As wide as the gap is before the line is stretched.
      const gap = (fragment.x - before.x - before.width) / common;
      const slack = hasBox(before.piece) || hasBox(fragment.piece) ? exact + SNAPPED : exact;
      const space = Math.min(before.piece.node.space, fragment.piece.node.space);
      const most = Math.max(before.piece.node.space, fragment.piece.node.space);
      const isSpace = gap >= space - slack && gap <= most + slack;
      if (!isSpace && Math.abs(gap) > slack) return null;
      const off = (each: Placed) =>
        Math.abs(each.piece.node.space - gap) > SAME_SPACE || ownSpacing(each, common) !== 0;
      const owner = isSpace ? addSpace(spans, own, { last: off(before), next: off(fragment) }) : 'none';
      const spaced = { none: null, last: before, next: fragment, own: main }[owner];
      natural += spaced === null ? 0 : spaceIn(spaced, common);
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
  return fragments.every((each) => Math.abs(ownSpacing(each, common)) <= each.piece.type.size * SPACED);
}

/** Px by which a piece may come out wider or narrower before its letters are spaced instead. */
const UNSPACED = 1;

/** Px between the letters of a piece that is stretched by another share than the rest of its row, so that it is as wide. */
function ownSpacing(fragment: Fragment, common: number): number {
  const { stretch, spans } = fragment;
  const width = lettersWidth(fragment);
  if (Math.abs(width - (width / stretch) * common) <= UNSPACED) return 0;
  const letters = spans.reduce((sum, { text }) => sum + [...text].length, 0);
  return Math.round(((width / common - width / stretch) / letters) * 1000) / 1000;
}

/** Px by which a space may be wider than the gap that it fills. */
const SAME_SPACE = 0.5;

/** Whose letters a space between two pieces belongs to: those before it, after it, or the sentence's own. */
type Owner = 'none' | 'last' | 'next' | 'own';

/**
 * A space stands in the sentence's own look where it can, and neither in a link nor underlined.
 * @param off whether a space in the type of the last or the next word would be of another width than it was drawn
 */
function addSpace(
  spans: TextSpan[],
  next: TextSpan[],
  off: { readonly last: boolean; readonly next: boolean },
): Owner {
  const [last, first] = [spans.at(-1), next[0]];
  if (!last || !first || /\s$/.test(last.text) || /^\s/.test(first.text)) return 'none';
  const owner = spaceOwner(last, first, off);
  if (owner === 'last') spans[spans.length - 1] = { ...last, text: `${last.text} ` };
  else if (owner === 'next') next[0] = { ...first, text: ` ${first.text}` };
  else spans.push({ text: ' ', look: {} });
  return owner;
}

function spaceOwner(
  last: TextSpan,
  first: TextSpan,
  off: { readonly last: boolean; readonly next: boolean },
): Exclude<Owner, 'none'> {
  if (isOwnSpan(first) && !isOwnSpan(last)) return 'next';
  if (isPlainSpan(last) && !off.last) return 'last';
  return isPlainSpan(first) && !off.next ? 'next' : 'own';
}

/** True for words in the sentence's own look. */
function isOwnSpan(span: TextSpan): boolean {
  return span.href === undefined && span.look.type === undefined && !isBoxed(span);
}

/** How wide a space in a piece comes out before its row is stretched, px. */
function spaceIn(owner: Placed | Piece, common: number): number {
  return 'piece' in owner ? owner.piece.node.space + ownSpacing(owner, common) : owner.node.space;
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
    Math.round(Math.max(0, (padding[name] + borders[name]) / common - borders[name]) * 1000) / 1000;
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

/** Px between the baselines; null when they are not even. A single line is as high as its letters. */
function lineHeightOf(rows: readonly { readonly baseline: number }[], { type, node }: Piece): number | null {
  const [first, second] = rows;
  if (!first || !second) return type.lineHeight;
  const isSet = node.lines.length > 1 && node.lines.every(({ at }) => at === null);
  const spacing = isSet
    ? type.lineHeight!
    : evenSpacing(
        rows.map(({ baseline }) => baseline),
        type.size,
      );
  const even = rows.every(
    ({ baseline }, at) => Math.abs(baseline - first.baseline - (spacing ?? 0) * at) <= SAME_LINE,
  );
  return even ? spacing : null;
}

function layersOf({ layer, merged = [] }: PageNode): readonly LayerKey[] {
  return [layer, ...merged];
}

interface Aligned {
  readonly rows: readonly Row[];
  readonly align: 'start' | 'middle';
}

/**
 * How the lines stand to each other, with what of the white space behind them counts; null when in no way that CSS knows.
 * @param space how wide a space is, px: a line may begin with one
 */
function alignRows(rows: readonly Row[], space: number): Aligned | null {
  const bare = rows.map((row) => ({ ...row, hang: 0 }));
  const left = Math.min(...rows.map(({ box }) => box.x));
  const begins = ({ box }: Row) => (box.x - left <= space + SAME_LINE ? left : box.x);
  if (areInLine(rows, begins)) return { rows: bare, align: 'start' };
  const middle = ({ box, hang }: Row) => box.x + (box.width + hang) / 2;
  const centred = [bare, rows].find((each) => areInLine(each, middle));
  return centred ? { rows: centred, align: 'middle' } : null;
}

function areInLine(rows: readonly Row[], anchor: (row: Row) => number): boolean {
  return rows.every((row) => Math.abs(anchor(row) - anchor(rows[0]!)) <= SAME_LINE);
}

/** Common practice, no source: what has more letters is not read at a glance, and no heading, however large. */
const HEADING_LETTERS = 90;

/** What the sentence is: a heading where a part of it is one and it is short enough. */
function roleOf(pieces: readonly Piece[], main: Piece, isLong: boolean): Role {
  const roles = [main, ...pieces].map(({ node }) => node.role);
  const letters = pieces.reduce((sum, piece) => sum + lettersIn(piece), 0);
  const heading = letters <= HEADING_LETTERS ? roles.find((role) => HEADINGS.has(role)) : undefined;
  if (heading) return heading;
  return isLong || roles.some((role) => role === 'paragraph' || HEADINGS.has(role)) ? 'paragraph' : 'text';
}

function textOf(
  pieces: readonly Piece[],
  main: Piece,
  rows: readonly Row[],
  { height, align }: { readonly height: number; readonly align: 'start' | 'middle' },
): TextNode {
  const { node, type } = main;
  const box = boxAround(rows.map((row) => ({ ...row.box, width: row.box.width + row.hang })));
  // The upper half of the leading goes down to whole px.
  const baseline = node.baseline + Math.floor((height - type.lineHeight!) / 2);
  const [first] = rows;
  // A single line is stretched as a whole.
  const alone = rows.length === 1 && first ? first.stretch : 1;
  const begins = (own: Box) => align !== 'start' || own.x - box.x <= SAME_LINE;
  const isEven =
    alone !== 1 || rows.every(({ stretch, hang, box: own }) => stretch === 1 && hang === 0 && begins(own));
  const lines = rows.map(({ spans, stretch, hang, box: own }, at): TextNodeLine => ({
    spans,
    width: own.width,
    hang,
    at: isEven ? null : { x: own.x - box.x, y: height * at, stretch, hang },
  }));
  const drawn = rows.map(({ box: own }) => own.y);
  const set = evenBaselines(box.y, height, rows.length);
  const phase = phaseOf(set, drawn);
  const others = pieces.filter((piece) => piece !== main);
  const { href: _, label: __, even: ___, ...rest } = node;
  return {
    ...rest,
    role: roleOf(pieces, main, rows.length > 1),
    merged: [
      ...(node.merged ?? []),
      ...others.flatMap(({ whole, beneath, node: text }) => [
        ...new Set([...(beneath ? [] : layersOf(whole)), ...layersOf(text)]),
      ]),
    ],
    place: uprightPlace(
      { x: box.x, y: box.y + phase - baseline, width: box.width / alone, height: height * rows.length },
      rows.length === 1,
      alone,
    ),
    look: { type: { ...type, lineHeight: height, align } },
    baseline,
    nudge: toWholePx(
      set.map((y) => y + phase),
      drawn,
    ),
    lines,
    ...(!isEven && { even: true }),
    faces: [...new Set(pieces.flatMap((piece) => piece.node.faces))],
  };
}
