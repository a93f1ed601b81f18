import { BY_HAND } from '../../tolerances';
import { bottom, right, type Box } from '../../../mockup/box';

/** The arrangement of boxes; numbers are indices into the list of boxes. */
export type Cut =
  | { readonly kind: 'one'; readonly at: number }
  | { readonly kind: 'row' | 'column'; readonly parts: readonly Cut[] }
  /** Rows of cells, each with as many as there are columns; null for an empty one. */
  | { readonly kind: 'grid'; readonly rows: readonly (readonly (number | null)[])[] };

interface Axis {
  readonly start: (box: Box) => number;
  readonly end: (box: Box) => number;
}

const ACROSS: Axis = { start: ({ x }) => x, end: right };
const DOWN: Axis = { start: ({ y }) => y, end: bottom };

/** The smallest share of a grid's cells that are filled. */
const FILLED_SHARE = 0.6;

interface Item {
  readonly at: number;
  readonly box: Box;
}

/**
 * Splits boxes into rows, columns and grids along the free lines between them (recursive X-Y cut: Nagy, Seth:
 * Hierarchical representation of optically scanned documents, 1984). Null when no line separates them.
 */
export function xyCut(boxes: readonly Box[]): Cut | null {
  return cutItems(boxes.map((box, at) => ({ at, box })));
}

function cutItems(items: readonly Item[]): Cut | null {
  const [first] = items;
  if (!first) return null;
  if (items.length === 1) return { kind: 'one', at: first.at };
  const rows = split(items, DOWN);
  const columns = split(items, ACROSS);
  if (rows.length > 1 && columns.length > 1 && rows.length < items.length && columns.length < items.length) {
    const grid = gridOf(rows, columns);
    if (grid) return grid;
    // The larger gap separates first.
    return smallestGap(columns, ACROSS) > smallestGap(rows, DOWN)
      ? axis('row', columns)
      : axis('column', rows);
  }
  if (rows.length > 1 && (rows.length === items.length || columns.length === 1)) return axis('column', rows);
  if (columns.length > 1) return axis('row', columns);
  return null;
}

function axis(kind: 'row' | 'column', groups: readonly (readonly Item[])[]): Cut | null {
  const merged = kind === 'column' ? withGrids(groups) : groups.map(cutItems);
  const parts = merged.filter((part) => part !== null);
  if (parts.length < merged.length) return null;
  return parts.length === 1 ? (parts[0] ?? null) : { kind, parts };
}

/** Consecutive rows with aligned cells form one grid. */
function withGrids(rows: readonly (readonly Item[])[]): readonly (Cut | null)[] {
  const cells = rows.map(cellsOf);
  const parts: (Cut | null)[] = [];
  for (let at = 0; at < rows.length;) {
    const first = cells[at];
    let end = at + 1;
    while (first && end < rows.length && alignWith(first, cells[end] ?? null)) end += 1;
    const found = cells.slice(at, end).map((row) => (row ?? []).map((item) => item.at));
    parts.push(first && end - at > 1 ? { kind: 'grid', rows: found } : cutItems(rows[at] ?? []));
    at = first && end - at > 1 ? end : at + 1;
  }
  return parts;
}

/** The cells of a row from left to right; null unless there are several, each of one box. */
function cellsOf(row: readonly Item[]): readonly Item[] | null {
  if (row.length < 2) return null;
  const columns = split(row, ACROSS);
  return columns.length > 1 && columns.length === row.length ? columns.flat() : null;
}

function alignWith(first: readonly Item[], row: readonly Item[] | null): boolean {
  if (row?.length !== first.length) return false;
  return row.every(({ box }, at) => {
    const above = first[at]?.box ?? box;
    const next = first[at + 1]?.box.x ?? Infinity;
    return right(box) <= next && areAligned([above, box]);
  });
}

/** The anchors by which boxes in a column may align: starts, middles or ends. */
export const ANCHORS: readonly ((box: Box) => number)[] = [
  (box) => box.x,
  (box) => box.x + box.width / 2,
  (box) => right(box),
];

/** True for boxes in a column whose starts, middles or ends align. */
export function areAligned(boxes: readonly Box[]): boolean {
  const [first] = boxes;
  if (!first) return false;
  return ANCHORS.some((anchor) =>
    boxes.every((box) => Math.abs(anchor(box) - anchor(first)) <= BY_HAND.size),
  );
}

/** A grid of cells that each stand in one row and one column. */
function gridOf(
  rows: readonly (readonly Item[])[],
  columns: readonly (readonly Item[])[],
): Extract<Cut, { kind: 'grid' }> | null {
  if (!rows.every(areBeside)) return null;
  const columnOf = new Map(columns.flatMap((column, at) => column.map((item) => [item.at, at] as const)));
  const cells = rows.map((row): (number | null)[] | null => {
    const line: (number | null)[] = columns.map(() => null);
    for (const { at } of row) {
      const column = columnOf.get(at) ?? 0;
      if (line[column] !== null) return null;
      line[column] = at;
    }
    return line;
  });
  const filled = rows.reduce((sum, row) => sum + row.length, 0);
  const whole = cells.filter((line) => line !== null);
  const aligned = columns.every((column) => areAligned(column.map(({ box }) => box)));
  if (!aligned || whole.length < rows.length || filled < FILLED_SHARE * rows.length * columns.length)
    return null;
  return { kind: 'grid', rows: whole };
}

/** Common practice, no source: the smallest shared share of the height of boxes beside each other. */
const BESIDE_SHARE = 0.5;

/** True for boxes beside each other, none of which starts about where another ends. */
function areBeside(row: readonly Item[]): boolean {
  const boxes = row.map(({ box }) => box);
  const shared = Math.min(...boxes.map(bottom)) - Math.max(...boxes.map(({ y }) => y));
  return shared >= BESIDE_SHARE * Math.min(...boxes.map(({ height }) => height));
}

/** Groups along one axis with free space between them, in order. */
function split(items: readonly Item[], { start, end: endOf }: Axis): readonly (readonly Item[])[] {
  const groups: Item[][] = [];
  let end = -Infinity;
  for (const item of inOrder(items, start)) {
    const from = start(item.box);
    const to = endOf(item.box);
    const group = groups.at(-1);
    if (group && from < end - Math.min(BY_HAND.border, (to - from) / 2)) group.push(item);
    else groups.push([item]);
    end = Math.max(end, to);
  }
  return groups;
}

/** Items by their start, stable for equal starts. Most lists are in order already. */
function inOrder(items: readonly Item[], start: Axis['start']): readonly Item[] {
  const isSorted = items.every((item, at) => at === 0 || start(items[at - 1]!.box) <= start(item.box));
  return isSorted ? items : items.toSorted((one, other) => start(one.box) - start(other.box));
}

function smallestGap(groups: readonly (readonly Item[])[], { start, end }: Axis): number {
  const spans = groups.map((group) => ({
    from: Math.min(...group.map(({ box }) => start(box))),
    to: Math.max(...group.map(({ box }) => end(box))),
  }));
  return Math.min(...spans.slice(1).map(({ from }, at) => from - spans[at]!.to));
}
