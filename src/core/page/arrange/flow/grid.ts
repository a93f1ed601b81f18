import { MEASURED, SNAPPED } from '../../tolerances';
import { boxAround, bottom, right, type Box } from '../../../mockup/box';
import { flatMap } from '../../../mockup/flatMap';
import { NO_MARGIN, type Margin, type WidthMode } from '../../place';
import type { BoxNode, PageNode } from '../../node';
import type { Layout, Track } from '../../layout';
import { anonymousBox } from '../../anonymousBox';
import { alignLine, commonAlign } from './crossAxis';
import { lineWidths, wrapTexts } from './textWrapping';
import { isAvatar, type Content, type Part } from './parts';
import {
  roundedLength,
  roundedDownLength,
  gapsBetween,
  heightModeOf,
  insets,
  padded,
  reachesEnd,
} from './spacing';
import { type LayoutResult, type LayOut } from './sizing';
import { rigidWidthMode, paddingBox, TOGETHER } from './widths';

/** Lays out parts as a grid. */
export function layOutGrid(
  part: Part,
  { rows, columns: shared, pitch }: Content,
  given: boolean,
  layOut: LayOut,
): LayoutResult {
  const inner = paddingBox(part);
  const count = rows[0]?.length ?? 0;
  const columns =
    shared ?? Array.from({ length: count }, (_, at) => boxAround(flatMap(rows, (row) => row[at]?.box ?? [])));
  const filled = rows.map((row) => row.filter((cell) => cell !== null));
  const align = commonAlign(filled.map((row) => alignLine(row, around(row)).align));
  const aligned = filled.map((row) => alignLine(row, around(row), align));
  const lines = aligned.map(({ line }) => line);
  const gap = pitch ? 0 : columnGap(columns);
  const rowGaps = lines.slice(1).map(({ y }, at) => y - bottom(lines[at]!));
  const rowGap = rowGaps.length === 0 ? gap : Math.max(0, roundedLength(Math.min(...rowGaps)));
  const before = columns[0]!.x - inner.x;
  const after = right(inner) - right(columns.at(-1)!);
  const reaches = given && reachesEnd(before, after);
  const cells = columns.map(({ x, width }, at) => {
    const next = columns[at + 1];
    return { x, width: next ? next.x - x - gap : width };
  });
  const drawn = pitch ? evenStepTracks(cells) : gridTracks(cells, reaches);
  // Shared columns have room for the words of all rows.
  const tracks = shared ? drawn : withRoomForWords(drawn, rows);
  const shares = tracks.every(({ kind }) => kind === 'share') ? evenColumns(columns, gap) : null;
  const vertical = insets(part, boxAround(lines));
  const laid = flatMap(rows, (row, at) =>
    flatMap(row, (cell, column): [PageNode, Part][] => {
      if (!cell) return [];
      const line = lines[at]!;
      const own = aligned[at]!.owns[filled[at]!.indexOf(cell)]!;
      const late = at === 0 ? 0 : roundedLength(rowGaps[at - 1]! - rowGap);
      const track = { ...line, ...cells[column]! };
      const across = acrossCell(cell, track);
      const stretched = across.stretch && cell.node.kind === 'box' && !isAvatar(cell.node);
      const widthMode: WidthMode = stretched ? 'fit' : rigidWidthMode(cell);
      // Content stands where it was drawn, whatever fraction of a px the column edges get.
      const edges = shares?.[column] ?? cells[column]!;
      const isMoved = edges.x !== cell.box.x || edges.width !== cell.box.width;
      const real = stretched && isMoved ? { ...cell, box: { ...cell.box, ...edges } } : cell;
      const child = layOut(real, {
        widthMode,
        heightMode: heightModeOf(cell, (own.align ?? align) === 'stretch', line.height),
        align: own.align,
        margin: {
          top: own.top + late + (at === 0 ? vertical.over.top : 0),
          ...across.margin,
          bottom: at === rows.length - 1 ? vertical.over.bottom : 0,
        },
        // A column that ends with its words has their width.
        isWidthGiven: (stretched && tracks[column]?.kind !== 'fit') || widthMode === 'drawn',
      });
      return [[child, cell]];
    }),
  );
  const layout: Layout = {
    direction: 'grid',
    tracks,
    gap,
    rowGap,
    padding: padded(vertical, {
      left: before,
      right: reaches || !given ? after : Math.min(after, Math.max(0, before)),
    }),
    align,
    justify: 'start',
  };
  const columnOf = new Map(
    flatMap(rows, (row) => flatMap(row, (cell, at) => (cell ? [[cell, at] as const] : []))),
  );
  const children = wrapTexts(
    laid.map(([child]) => child),
    laid.map(([, cell]) => cell),
    {
      of: (cell) => cells[columnOf.get(cell)!]?.width ?? cell.box.width,
      narrowed: 'max',
      begins: ({ margin }) => margin.left === 0,
      isGiven: true,
      // Long words widen any other column.
      isRigid: (cell) => tracks[columnOf.get(cell)!]?.kind === 'share',
      isUnconstrained: false,
    },
  );
  return { layout, children: withEmptyCells(children, rows) };
}

/**
 * Common practice, no source: px from which the gap between columns of words follows from the words' lengths.
 */
const WIDE_GAP = 16;

/** The gap between all columns; space beyond it belongs to the columns. */
function columnGap(columns: readonly Box[]): number {
  const gap = Math.min(...gapsBetween(columns));
  return gap > TOGETHER ? WIDE_GAP : Math.max(0, gap);
}

function around(row: readonly Part[]): Box {
  return boxAround(row.map(({ box }) => box));
}

/** The columns to which browsers share out the width. */
function evenColumns(
  columns: readonly Box[],
  gap: number,
): readonly { readonly x: number; readonly width: number }[] {
  const [first, last] = [columns[0]!, columns.at(-1)!];
  const width = (right(last) - first.x - gap * (columns.length - 1)) / columns.length;
  return columns.map((_, at) => ({ x: first.x + at * (width + gap), width }));
}

/** Columns of equal width share the width; else the widest takes the rest. */
function gridTracks(cells: readonly { readonly width: number }[], reaches: boolean): readonly Track[] {
  const first = cells[0]?.width ?? 0;
  if (reaches && cells.every(({ width }) => Math.abs(width - first) <= 1))
    return cells.map(() => ({ kind: 'share' }));
  const widest = Math.max(...cells.map(({ width }) => width));
  const main = reaches ? cells.findIndex(({ width }) => width === widest) : -1;
  return cells.map(({ width }, at) => (at === main ? { kind: 'share' } : { kind: 'px', width }));
}

/** Columns of whole px are as wide as the words in them: in less room these would wrap. */
function withRoomForWords(
  tracks: readonly Track[],
  rows: readonly (readonly (Part | null)[])[],
): readonly Track[] {
  const needed = tracks.map((_, column) =>
    Math.max(0, ...rows.flatMap((row) => (row[column] ? lineWidths(row[column].node) : []))),
  );
  return tracks.map((track, column) =>
    track.kind === 'px' && needed[column]! - track.width <= 1
      ? { ...track, width: Math.max(track.width, Math.ceil(needed[column]!)) }
      : track,
  );
}

/** Words at even steps: columns of equal width, except for the last, which has the width of its word. */
function evenStepTracks(cells: readonly { readonly width: number }[]): readonly Track[] {
  const steps = cells.slice(0, -1).map(({ width }) => width);
  const width = steps.reduce((sum, step) => sum + step, 0) / steps.length;
  return cells.map((_, at) => (at < steps.length ? { kind: 'px', width } : { kind: 'fit' }));
}

function acrossCell(
  { box, node }: Part,
  track: Box,
): { readonly stretch: boolean; readonly margin: Pick<Margin, 'left' | 'right'> } {
  const [before, after] = [box.x - track.x, right(track) - right(box)];
  if (Math.abs(before) <= 1 && Math.abs(after) <= 1) return { stretch: true, margin: { left: 0, right: 0 } };
  // Words start at the start of their cell, whatever its width.
  if (Math.abs(before) <= SNAPPED)
    return { stretch: false, margin: { left: 0, right: node.kind === 'box' ? null : 0 } };
  if (Math.abs(before - after) <= MEASURED.middle * 1.5)
    return { stretch: false, margin: { left: null, right: null } };
  // An overhang over the edge lies on the border of the next cell.
  if (after >= -1 && after <= SNAPPED)
    return { stretch: false, margin: { left: null, right: after < -SNAPPED ? after : 0 } };
  return { stretch: false, margin: { left: roundedDownLength(before), right: null } };
}

const NOWHERE: Box = { x: 0, y: 0, width: 0, height: 0 };

/** An empty cell is a box without content. */
function withEmptyCells(
  children: readonly PageNode[],
  rows: readonly (readonly (Part | null)[])[],
): readonly PageNode[] {
  let next = 0;
  return flatMap(rows, (row) => {
    const line = row.map((cell) => (cell ? children[next++]! : null));
    const last = line.findLastIndex((cell) => cell !== null);
    const isLast = row === rows.at(-1);
    return flatMap(line, (cell, at): PageNode[] => (cell ? [cell] : isLast && at > last ? [] : [EMPTY_CELL]));
  });
}

const EMPTY_CELL: BoxNode = {
  ...anonymousBox('empty', '', NOWHERE),
  place: {
    kind: 'flow',
    ...NOWHERE,
    fitsContent: true,
    linear: null,
    widthMode: 'fit',
    heightMode: 'fit',
    align: null,
    margin: NO_MARGIN,
  },
};
