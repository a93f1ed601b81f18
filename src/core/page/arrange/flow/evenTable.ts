import { bottom, boxAround, boxOf, contains, right, spread, type Box } from '../../../mockup/box';
import { isPlain, type Look } from '../../../look/look';
import { anonymousBox } from '../../anonymousBox';
import { moveNode } from '../../states/moveNode';
import type { BoxNode, PageNode, TextNode } from '../../node';
import { placedBox } from '../../placed';
import { BY_HAND, WIDEST_LINE } from '../../tolerances';

/** A row of a table, and its parts from left to right. */
interface RowOfCells {
  readonly box: BoxNode;
  readonly cells: readonly { readonly node: PageNode; readonly box: Box }[];
}

/** The edges of a column or a row, px. */
interface Span {
  readonly start: number;
  readonly end: number;
}

/**
 * The rows of a table with the edges that they have in common: a row ends where the next begins, like rows are equally
 * high, the cells of a column equally wide, and their words stand at one distance from the edges. Borders between cells
 * lie on both of them in a drawing, so that neighbours overlap by a border's width or differ by it. Places are px of the
 * screen.
 */
export function evenRows(rows: readonly RowOfCells[]): readonly BoxNode[] {
  const spans = spansOf(rows);
  const around = boxAround(rows.map(({ box }) => placedBox(box.place)));
  const columns = columnsOf(rows, around);
  const moved = rows.map(({ box, cells }, at) => ({
    row: withBox(box, rowBox(box, around, spans[at]!)),
    cells: cells.map(({ node, box: content }, column) => ({
      cell: evenCell(node, columns[column]!, placedBox(box.place), spans[at]!),
      content,
    })),
  }));
  const paddings = paddingsOf(moved.map(({ cells }) => cells));
  return moved.map(({ row, cells }, at) => {
    const evened = new Map(
      cells.map((each, column) => [rows[at]!.cells[column]!.node, withPadding(each, paddings[column]!)]),
    );
    return { ...row, children: row.children.map((child) => evened.get(child) ?? child) };
  });
}

function isNear(one: number, other: number): boolean {
  return Math.abs(one - other) <= BY_HAND.place;
}

function withBox(node: BoxNode, box: Box): BoxNode {
  return { ...node, place: { ...node.place, ...box } };
}

/** A row from edge to edge of the table, where it nearly reached them or shows no other ones. */
function rowBox({ place, look }: BoxNode, around: Box, { start, end }: Span): Box {
  if (isPlain(look)) return boxOf(around.x, start, right(around), end);
  const own = placedBox(place);
  const left = isNear(own.x, around.x) ? around.x : own.x;
  return boxOf(left, start, isNear(right(own), right(around)) ? right(around) : right(own), end);
}

/** Where the rows begin and end: like rows are equally high where none moves visibly. */
function spansOf(rows: readonly RowOfCells[]): readonly Span[] {
  const spans = rows.map(({ box }, at): Span => ({ start: box.place.y, end: endOf(box, rows[at + 1]?.box) }));
  const [head, ...body] = spans;
  return evenSpans(spans) ?? [head!, ...(evenSpans(body) ?? body)];
}

/** Spans that touch each other, the last one aside, with the height that they have on average. */
function evenSpans(spans: readonly Span[]): readonly Span[] | null {
  const [first, ...others] = spans;
  if (!first || others.length === 0) return null;
  const touch = others.every(({ start }, at) => start === spans[at]!.end);
  const [last] = spans.slice(-1);
  const pitch = Math.round((last!.start - first.start) / others.length);
  const isEven = spans.every(
    ({ start }, at) => Math.abs(first.start + at * pitch - start) <= BY_HAND.overlap,
  );
  if (!touch || !isEven) return null;
  return spans.map((span, at) => {
    const start = first.start + at * pitch;
    const height = span.end - span.start;
    // Nothing shows where the last row ends but what is in it.
    const isShort = at === spans.length - 1 && !isNear(height, pitch);
    return { start, end: start + (isShort ? height : pitch) };
  });
}

function boxIn(cell: PageNode): readonly BoxNode[] {
  return cell.kind === 'box' ? [cell] : [];
}

/** The edges of each column, px; null for one whose cells mostly are no boxes, or show that they have several widths. */
function columnsOf(rows: readonly RowOfCells[], around: Box): readonly (Span | null)[] {
  const edges = rows[0]!.cells.map((_, column): Span | null => {
    const cells = rows.flatMap(({ cells: all }) => boxIn(all[column]!.node));
    if (cells.length * 2 <= rows.length) return null;
    const boxes = cells.map(({ place }) => placedBox(place));
    const [lefts, rights] = [boxes.map(({ x }) => x), boxes.map(right)];
    if (spread(lefts) <= BY_HAND.place && spread(rights) <= BY_HAND.place)
      return { start: median(lefts), end: median(rights) };
    if (!cells.every(({ look }) => isPlain(look))) return null;
    const start = Math.min(...lefts);
    const next = rows.map(({ cells: all }) => all[column + 1]?.node.place.x ?? Infinity);
    // Words that start at one edge have the room up to the next column.
    const isFree = spread(lefts) <= BY_HAND.place && next.every((each) => each < Infinity);
    return { start, end: isFree ? Math.min(...next) : Math.max(...rights) };
  });
  return edges.map((edge, at) => {
    if (!edge) return null;
    const next = at === edges.length - 1 ? right(around) : edges[at + 1]?.start;
    return {
      start: at === 0 && isNear(edge.start, around.x) ? around.x : edge.start,
      end: next !== undefined && (isNear(edge.end, next) || edge.end > next) ? next : edge.end,
    };
  });
}

function median(values: readonly number[]): number {
  return values.toSorted((one, other) => one - other)[Math.floor((values.length - 1) / 2)]!;
}

/** Where a row ends, px: at the next one, where nothing shows another end. */
function endOf(row: BoxNode, next: BoxNode | undefined): number {
  const own = bottom(placedBox(row.place));
  if (!next) return own;
  const meets = isNear(next.place.y, own);
  const isOpen = next.place.y > own && next.place.y - own <= row.place.height && !showsEnd(row);
  return meets || isOpen ? next.place.y : own;
}

/** True for a box whose bottom edge is seen. */
function showsEnd(node: PageNode): boolean {
  if (node.kind !== 'box') return false;
  return paintsEnd(node.look) || node.children.some(showsEnd);
}

function paintsEnd({ fills, border, sides, shadows, clip }: Look): boolean {
  return [fills, border, sides?.bottom, shadows, clip].some((paint) => paint !== undefined);
}

/** A cell between the edges of its column and its row, where it reached them nearly or shows no other ones. */
function evenCell(cell: PageNode, column: Span | null, row: Box, span: Span): PageNode {
  if (cell.place.linear) return cell;
  if (cell.kind !== 'box') return column ? cellAround(cell, column, span) : cell;
  const own = placedBox(cell.place);
  const { start, end } = column ?? { start: own.x, end: right(own) };
  const begins = isNear(own.y, row.y);
  const ends = isNear(bottom(own), bottom(row));
  const reaches = ends || (begins && !paintsEnd(cell.look));
  const top = begins ? span.start : own.y;
  return withBox(cell, boxOf(start, top, end, reaches ? span.end : bottom(own)));
}

/** A cell of the column around what stands in a row by itself. */
function cellAround(node: PageNode, column: Span, row: Span): PageNode {
  const box = boxOf(column.start, row.start, column.end, row.end);
  return contains(box, placedBox(node.place), BY_HAND.overlap)
    ? { ...anonymousBox('cell', node.layer, box), children: [node] }
    : node;
}

interface EvenedCell {
  readonly cell: PageNode;
  /** What it shows. */
  readonly content: Box;
}

type Anchor = 'start' | 'end';

/** The edge that the content of a column keeps a distance to, px, and its distance from the top of the cells. */
interface Padding {
  /** Null for none. */
  readonly anchor: Anchor | null;
  readonly side: number;
  /** Null for none. */
  readonly top: number | null;
  /** True for short words on one line that fill the column. */
  readonly keepsLine: boolean;
}

const beforeContent = ({ cell, content }: EvenedCell): number => content.x - cell.place.x;
const afterContent = ({ cell, content }: EvenedCell): number => right(placedBox(cell.place)) - right(content);
const aboveContent = ({ cell, content }: EvenedCell): number => content.y - cell.place.y;

function paddingsOf(rows: readonly (readonly EvenedCell[])[]): readonly Padding[] {
  const own = rows[0]!.map((_, column) => paddingOf(rows.map((row) => row[column]!)));
  const sides = withCommon(own.map(({ anchor, side }) => (anchor ? side : null)));
  const tops = withCommon(own.map(({ top }) => top));
  return own.map((each, column) => ({ ...each, side: sides[column] ?? 0, top: tops[column]! }));
}

function paddingOf(cells: readonly EvenedCell[]): Padding {
  const none: Padding = { anchor: null, side: 0, top: null, keepsLine: false };
  if (!cells.every(({ cell }) => cell.kind === 'box')) return none;
  const [before, after, above] = [beforeContent, afterContent, aboveContent].map((of) => cells.map(of));
  const top = spread(above!) <= BY_HAND.place ? median(above!) : null;
  const isAtStart = spread(before!) <= BY_HAND.place;
  const isAtEnd = !isAtStart && spread(after!) <= BY_HAND.place;
  const side = isAtStart ? median(before!) : isAtEnd ? median(after!) : 0;
  const anchor = isAtStart ? 'start' : isAtEnd ? 'end' : null;
  return { anchor, side, top, keepsLine: anchor !== null && cells.every(isShortLine) };
}

function isShortLine({ cell, content }: EvenedCell): boolean {
  const words = wordsOf(cell);
  return words?.lines.length === 1 && content.width <= WIDEST_LINE;
}

/** The words of a cell that shows nothing else. */
function wordsOf(cell: PageNode): TextNode | null {
  const [text, ...more] = cell.kind === 'box' ? cell.children : [];
  return text?.kind === 'text' && more.length === 0 ? text : null;
}

/** Lengths, with the middle one of those that are nearly the same, where most are, instead of them. */
function withCommon(lengths: readonly (number | null)[]): readonly (number | null)[] {
  const known = lengths.flatMap((each) => each ?? []);
  const near = known.map((length) => known.filter((each) => isNear(each, length)));
  const [most = []] = near.toSorted((one, other) => other.length - one.length);
  if (most.length === 0) return lengths;
  const between = median(most);
  return lengths.map((each) => (each !== null && isNear(each, between) ? between : each));
}

/** A cell whose content keeps the distances of its column. */
function withPadding(each: EvenedCell, { anchor, side, top, keepsLine }: Padding): PageNode {
  const { cell } = each;
  if (cell.kind !== 'box') return cell;
  const dx =
    anchor === null ? 0 : anchor === 'start' ? side - beforeContent(each) : afterContent(each) - side;
  const dy = top === null ? 0 : top - aboveContent(each);
  const moved = { ...cell, children: cell.children.map((child) => moveNode(child, dx, dy)) };
  const words = wordsOf(moved);
  if (!words || words.lines.length > 1) return moved;
  const placed = anchor === 'end' ? endingWords(words, moved, side) : words;
  return { ...moved, children: [keepsLine ? onOneLine(placed) : placed] };
}

function onOneLine(text: TextNode): TextNode {
  const { type } = text.look;
  return { ...text, look: { ...text.look, ...(type && { type: { ...type, keepsLine: true as const } }) } };
}

/** Words that end at the edge of their cell whatever they say. */
function endingWords(text: TextNode, cell: BoxNode, side: number): TextNode {
  const { type } = text.look;
  const left = Math.min(text.place.x, cell.place.x + side);
  const place = { ...text.place, x: left, width: right(placedBox(text.place)) - left };
  return { ...text, place, look: { ...text.look, ...(type && { type: { ...type, align: 'end' } }) } };
}
