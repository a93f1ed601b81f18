import { BY_HAND } from '../../tolerances';
import { boxAround, type Box } from '../../../mockup/box';
import type { LayerId } from '../../../mockup/layer';
import { HEADING_LETTERS } from '../../../sort/facts';
import { isHeading, type Role } from '../../../sort/vocabulary';
import { evenBaselines, evenSpacing, shiftToRows } from '../../baselines';
import { uprightPlace } from '../../lowerText';
import type { PageNode, TextNode, TextNodeLine } from '../../node';
import { lettersIn } from '../letters';
import { hasBox, isLink, type Fragment, type Piece } from './pieces';
import { joinRow, type Placed, type Row } from './row';

/** Common practice, no source: the largest ratio of letter sizes in one sentence. */
const LARGEST_RATIO = 1.5;

/** Joins the pieces into one sentence, or into one in each line as in code; other pieces stay unchanged. */
export function sentencesOf(pieces: readonly Piece[]): readonly PageNode[] {
  if (pieces.length < 2) return pieces.map(({ whole }) => whole);
  const sentence = sentenceOf(pieces);
  if (sentence) return [...pieces.flatMap(({ beneath }) => beneath ?? []), sentence];
  const rows: Piece[][] = [];
  for (const piece of pieces) {
    const last = rows.at(-1)?.at(-1)?.lines.at(-1);
    const goesOn = last && isSameLine(last.baseline, piece.lines[0]!.baseline);
    if (goesOn) rows.at(-1)!.push(piece);
    else rows.push([piece]);
  }
  return rows.length === 1 ? pieces.map(({ whole }) => whole) : rows.flatMap(sentencesOf);
}

/** The pieces as one text; null when they are no sentence. */
function sentenceOf(pieces: readonly Piece[]): TextNode | null {
  // Adjacent links are choices, not a sentence.
  if (pieces.every((piece) => isLink(piece) || hasBox(piece))) return null;
  const main = mainOf(pieces);
  const sizes = pieces.map(({ type }) => type.size);
  if (Math.max(...sizes) > Math.min(...sizes) * LARGEST_RATIO || Math.max(...sizes) > main.type.size * 1.2)
    return null;
  const rows: Baseline[] = [];
  const edge = Math.max(...pieces.flatMap(({ lines }) => lines.map(({ x, width }) => x + width)));
  for (const piece of pieces) {
    for (const [at, fragment] of piece.lines.entries()) {
      const row = rows.at(-1);
      const continues = row && isSameLine(row.baseline, fragment.baseline);
      // A piece starts in the line in which the one before ended, or in the next one when that line is full.
      if (row && at === 0 && !continues && !wrapsToNext(fragment, row, { edge, space: main.node.space }))
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

/** True for baselines of one line. */
function isSameLine(one: number, other: number): boolean {
  return Math.abs(one - other) <= BY_HAND.overlap;
}

interface Baseline {
  readonly baseline: number;
  readonly fragments: Placed[];
}

/**
 * True for words inside a sentence that did not fit in the line above. A capital letter may start something
 * else.
 */
function wrapsToNext(
  { x, width, spans }: Fragment,
  { fragments }: Baseline,
  { edge, space }: { readonly edge: number; readonly space: number },
): boolean {
  const [first, last] = [fragments[0]!, fragments.at(-1)!];
  const text = spans.map((span) => span.text).join('');
  const [word = ''] = text.trimStart().split(/\s/);
  const isBelow = x >= first.x - BY_HAND.overlap && x <= first.x + space + BY_HAND.overlap;
  if (/^\p{Lu}/u.test(word) || !isBelow || fragments.length < 2) return false;
  return last.x + last.width + (width * word.length) / text.length > edge;
}

/**
 * The piece whose look the sentence has: the largest in a single line, the longest in a paragraph. Lines through or
 * beneath a part of the words are of that part alone: CSS draws those of a text through all that is in it (CSS Text
 * Decoration 3, §2).
 */
function mainOf(pieces: readonly Piece[]): Piece {
  const isLine = pieces.every(({ lines }) => lines.length === 1);
  const weigh = (piece: Piece) => (isLine ? piece.type.size * 1000 : 0) + lettersIn(piece.node);
  const bare = pieces.filter((piece) => !hasBox(piece));
  const lined = (piece: Piece) => piece.type.decorations.join();
  const isShared = pieces.every((piece) => lined(piece) === lined(pieces[0]!));
  const plain = isShared ? bare : bare.filter((piece) => lined(piece) === '');
  const main = (plain.length > 0 ? plain : bare).reduce((best, piece) =>
    weigh(piece) > weigh(best) ? piece : best,
  );
  return isShared ? main : { ...main, type: { ...main.type, decorations: [] } };
}

/** Px between the baselines; null when they are uneven. A single line has the height of its letters. */
function lineHeightOf(rows: readonly Baseline[], { type, node }: Piece): number | null {
  const [first] = rows;
  if (!first || rows.length < 2) return type.lineHeight;
  const drawn = rows.map(({ baseline }) => baseline);
  const isSet = node.lines.length > 1 && node.lines.every(({ at }) => at === null);
  const height = isSet ? type.lineHeight : evenSpacing(drawn, type.size);
  if (height === null) return null;
  const set = evenBaselines(first.baseline, height, rows.length);
  return drawn.every((baseline, at) => isSameLine(baseline, set[at]!)) ? height : null;
}

function layersOf({ layer, merged = [] }: PageNode): readonly LayerId[] {
  return [layer, ...merged];
}

interface Aligned {
  readonly rows: readonly Row[];
  readonly align: 'start' | 'middle';
}

/**
 * The alignment of the lines, with the trailing white space that counts; null when CSS has none for it.
 * @param space the width of a space, px: a line may start with one
 */
function alignRows(rows: readonly Row[], space: number): Aligned | null {
  const bare = rows.map((row) => ({ ...row, trailingSpace: 0 }));
  const left = Math.min(...rows.map(({ box }) => box.x));
  const begins = ({ box }: Row) => (box.x - left <= space + BY_HAND.overlap ? left : box.x);
  if (areInLine(rows, begins)) return { rows: bare, align: 'start' };
  const middle = ({ box, trailingSpace }: Row) => box.x + (box.width + trailingSpace) / 2;
  const centred = [bare, rows].find((each) => areInLine(each, middle));
  return centred ? { rows: centred, align: 'middle' } : null;
}

function areInLine(rows: readonly Row[], anchor: (row: Row) => number): boolean {
  return rows.every((row) => Math.abs(anchor(row) - anchor(rows[0]!)) <= BY_HAND.overlap);
}

/** The role of the sentence: a heading when a part of it is one and it is short enough. */
function roleOf(pieces: readonly Piece[], main: Piece, isLong: boolean): Role {
  const roles = [main, ...pieces].map(({ node }) => node.role);
  const letters = pieces.reduce((sum, piece) => sum + lettersIn(piece.node), 0);
  const heading = letters <= HEADING_LETTERS ? roles.find(isHeading) : undefined;
  if (heading) return heading;
  return isLong || roles.some((role) => role === 'paragraph' || isHeading(role)) ? 'paragraph' : 'text';
}

function textOf(
  pieces: readonly Piece[],
  main: Piece,
  rows: readonly Row[],
  { height, align }: { readonly height: number; readonly align: 'start' | 'middle' },
): TextNode {
  const { node, type } = main;
  const box = boxAround(rows.map((row) => ({ ...row.box, width: row.box.width + row.trailingSpace })));
  // The upper half of the leading is rounded down to whole px.
  const baseline = node.baseline + Math.floor((height - type.lineHeight!) / 2);
  const [first] = rows;
  // A single line is stretched as a whole.
  const alone = rows.length === 1 && first ? first.stretch : 1;
  const begins = (own: Box) => align !== 'start' || own.x - box.x <= BY_HAND.overlap;
  const isEven =
    alone !== 1 ||
    rows.every(({ stretch, trailingSpace, box: own }) => stretch === 1 && trailingSpace === 0 && begins(own));
  const lines = rows.map(({ spans, stretch, trailingSpace, box: own }, at): TextNodeLine => ({
    spans,
    width: own.width,
    trailingSpace,
    at: isEven ? null : { x: own.x - box.x, y: height * at, stretch, trailingSpace },
  }));
  const drawn = rows.map(({ box: own }) => own.y);
  const { phase, baselineOffset } = shiftToRows(evenBaselines(box.y, height, rows.length), drawn);
  const others = pieces.filter((piece) => piece.whole !== main.whole);
  const { href: _, label: __, hasRegularLines: ___, ...rest } = node;
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
    baselineOffset,
    lines,
    ...(!isEven && { hasRegularLines: true }),
    faces: [...new Set(pieces.flatMap((piece) => piece.node.faces))],
  };
}
