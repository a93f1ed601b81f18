import { isPlain } from '../../../../look/look';
import { bottom, boxAround, boxOf, contains, right, type Box } from '../../../../mockup/box';
import { anonymousBox } from '../../../anonymousBox';
import type { BoxNode, PageNode } from '../../../node';
import { placedBox } from '../../../placed';
import { BY_HAND } from '../../../tolerances';
import { paddingsOf, withPadding } from './cellPaddings';
import { columnSpans } from './columnSpans';
import { endingFrom, startOfEnding } from './endingWords';
import { paintsEnd } from './paintsEnd';
import { isNear, type Row, type Span } from './row';
import { rowSpans } from './rowSpans';

/**
 * The rows of a table with the edges that they have in common: a row ends where the next begins, like rows are equally
 * high, the cells of a column equally wide, and their words stand at one distance from the edges. Borders between cells
 * lie on both of them in a drawing, so that neighbours overlap by a border's width or differ by it. Places are px of the
 * screen.
 */
export function evenRows(rows: readonly Row[]): readonly BoxNode[] {
  const spans = rowSpans(rows);
  const around = boxAround(rows.map(({ box }) => placedBox(box.place)));
  const columns = columnSpans(rows, around);
  const starts = rows[0]!.cells.map((_, column) => startOfEnding(rows.map(({ cells }) => cells[column]!)));
  const moved = rows.map(({ box, cells }, at) => ({
    row: withBox(box, rowBox(box, around, spans[at]!)),
    cells: cells.map(({ node, box: content }, column) => ({
      cell: evenCell(endingAt(node, starts[column]!), columns[column]!, placedBox(box.place), spans[at]!),
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

/** Words of a column that ends at one edge; any other cell as it is. */
function endingAt(node: PageNode, start: number | null): PageNode {
  return start !== null && node.kind === 'text' ? endingFrom(node, start) : node;
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
