import { BY_HAND } from '../../tolerances';
import { boxAround, right, type Box } from '../../../mockup/box';
import { isCellRole } from '../../../sort/vocabulary';
import { areAligned } from './xyCut';
import type { Content, Part } from './parts';
import { gapsBetween } from './spacing';
import { lineWidths } from './textWrapping';
import { hasNoLook, TOGETHER } from './widths';

/** How many levels deep rows are looked for. */
const MOST_LEVELS = 3;

/** Indices from a part to one inside it. */
type IndexPath = readonly number[];

/**
 * Gives shared columns to parts below each other whose rows have aligned cells, as in a list or a table. Rows
 * with gaps of their own would lose the alignment as soon as a word changes.
 */
export function shareColumns(parts: readonly Part[]): readonly Part[] {
  if (parts.length < 2) return parts;
  const rows = parts.flatMap((part, at) => rowsIn(part, []).map((found): Row => ({ ...found, at, part })));
  let shared = [...parts];
  for (const { rows: found, columns } of groupsOf(rows)) {
    const sized = columns.map((_, cell) => areEquallyWide(found.map(({ row }) => row.content!.parts[cell]!)));
    for (const { at, path } of found)
      shared = shared.with(at, withColumns(shared[at]!, path, columns, sized));
  }
  return shared;
}

/** A row in a column of parts. */
interface Row {
  readonly path: IndexPath;
  readonly row: Part;
  /** The part that is or contains the row, with its index. */
  readonly part: Part;
  readonly at: number;
}

/** Rows with shared columns. */
interface Group {
  readonly rows: readonly Row[];
  readonly columns: readonly Box[];
}

/**
 * The groups of rows that can share columns. Rows without a look have the size of their words, so all that
 * stand in columns form one group; others are grouped by likeness.
 */
function groupsOf(rows: readonly Row[]): readonly Group[] {
  const begin = ({ path, row, part }: Row) => [path, row.content?.parts.length, Math.round(part.box.x)];
  return groupedBy(rows, begin).flatMap((beginAlike): readonly Group[] => {
    const areOne = endWithWords(beginAlike) || beginAlike.every(({ row }) => isOfCells(row));
    const columns = areOne ? columnsIn(beginAlike) : null;
    if (columns) return [{ rows: beginAlike, columns }];
    return groupedBy(beginAlike, ({ part }) => sizeMark(part.box)).flatMap((alike): readonly Group[] => {
      const shared = columnsIn(alike);
      return shared ? [{ rows: alike, columns: shared }] : [];
    });
  });
}

/** True for rows that end with their last words, and whose cells all start at the same edges. */
function endWithWords(rows: readonly Row[]): boolean {
  const first = rows[0]!.row.content!.parts;
  return rows.every(
    ({ part, row }) =>
      hasNoLook(part) &&
      row.content!.parts.every(({ box }, at) => Math.abs(box.x - first[at]!.box.x) <= BY_HAND.size),
  );
}

function columnsIn(rows: readonly Row[]): readonly Box[] | null {
  return columnsOf(rows.map(({ row }) => row));
}

function groupedBy(rows: readonly Row[], markOf: (row: Row) => unknown): readonly (readonly Row[])[] {
  const groups = new Map<string, Row[]>();
  for (const row of rows) {
    const mark = JSON.stringify(markOf(row));
    groups.set(mark, [...(groups.get(mark) ?? []), row]);
  }
  return [...groups.values()];
}

/** Similar rows have the same width and nearly the same height. */
function sizeMark({ width, height }: Box): readonly number[] {
  return [Math.round(width), Math.round(Math.log(Math.max(1, height)) / SIMILAR)];
}

/** The largest difference of heights, as a logarithm. */
const SIMILAR = 0.25;

function rowsIn(part: Part, path: IndexPath): readonly { readonly path: IndexPath; readonly row: Part }[] {
  if (!part.content || path.length > MOST_LEVELS) return [];
  const { direction, parts } = part.content;
  if (direction === 'row') return parts.length > 1 ? [{ path, row: part }] : [];
  return direction === 'column' ? parts.flatMap((each, at) => rowsIn(each, [...path, at])) : [];
}

/** The columns of the rows' cells; null when the cells do not align, or when even gaps express the same. */
function columnsOf(rows: readonly Part[]): readonly Box[] | null {
  const [first] = rows;
  const count = first?.content?.parts.length ?? 0;
  // Two rows of two cells may align by chance.
  if (rows.length < 2 || count < 2 || rows.length + count < 5) return null;
  const cells = rows.map((row) => row.content!.parts.map(({ box }) => box));
  const columns = Array.from({ length: count }, (_, at) => cells.map((row) => row[at]!));
  const aligned = columns.every(areAligned);
  const boxes = columns.map(boxAround);
  const apart = boxes.every((box, at) => at === 0 || box.x >= right(boxes[at - 1]!));
  const [gaps = []] = cells.map(gapsBetween);
  const same = cells.every((row) => gapsBetween(row).every((gap, at) => Math.abs(gap - gaps[at]!) <= 1));
  // Words at both ends of a row need no columns.
  const atEnds = count === 2 && gaps.every((gap) => gap > TOGETHER);
  // Boxes that touch have gaps of one size, and columns of several.
  if (!aligned || !apart || (same && !rows.every(isOfCells)) || atEnds) return null;
  return boxes.map((box, at) =>
    withRoomForWords(
      box,
      rows.map((row) => row.content!.parts[at]!),
      boxes[at + 1],
    ),
  );
}

/** True for a row of a table, whose cells are boxes. */
function isOfCells({ content }: Part): boolean {
  return content!.parts.every(({ node }) => node.kind === 'box' && isCellRole(node.role));
}

/** Columns of whole px are as wide as the words in them: in less room these would wrap. */
function withRoomForWords(box: Box, cells: readonly Part[], next: Box | undefined): Box {
  const needed = Math.max(0, ...cells.flatMap(({ node }) => lineWidths(node)));
  const most = next ? next.x - box.x : Infinity;
  const isNear = needed > box.width && needed - box.width <= 1;
  return isNear ? { ...box, width: Math.min(most, Math.ceil(needed)) } : box;
}

/** True for boxes of equal width around words of different lengths. */
function areEquallyWide(cells: readonly Part[]): boolean {
  const width = cells[0]!.box.width;
  return cells.every(
    ({ box, content, node }) => node.kind === 'box' && content && Math.abs(box.width - width) <= 0.5,
  );
}

function withColumns(part: Part, path: IndexPath, columns: readonly Box[], sized: readonly boolean[]): Part {
  const { content } = part;
  if (!content) return part;
  const [at, ...rest] = path;
  const changed: Content =
    at === undefined
      ? gridOf(
          content.parts.map((cell, column) => (sized[column] ? { ...cell, sized: true } : cell)),
          columns,
        )
      : { ...content, parts: content.parts.with(at, withColumns(content.parts[at]!, rest, columns, sized)) };
  return { ...part, content: changed };
}

function gridOf(parts: readonly Part[], columns: readonly Box[]): Content {
  return { direction: 'grid', parts, rows: [parts], columns };
}
