import { bottom, boxAround, followEachOther, right, type Box } from '../../../mockup/box';
import { placedBox } from '../../placed';
import { moveNode } from '../../moveNode';
import { BY_HAND } from '../../tolerances';
import type { PageNode } from '../../node';
import { commonGap } from './spacing';

/** The children of a container in the direction that a person said; rows of a grid have null for an empty cell. */
export type SaidContent =
  | {
      readonly direction: 'row' | 'column';
      readonly children: readonly PageNode[];
      readonly isMoved: boolean;
    }
  | {
      readonly direction: 'grid';
      readonly rows: readonly (readonly (PageNode | null)[])[];
      readonly isMoved: boolean;
    };

/** A grid has at least so many columns: with fewer it would be a column. */
const FEWEST_COLUMNS = 2;

/**
 * Children in a direction that a person said. Those drawn otherwise move, with all inside of them: in reading order, as far
 * from each other as they were drawn. Places are px of the screen.
 */
export function saidContent(direction: SaidContent['direction'], children: readonly PageNode[]): SaidContent {
  const lines = linesOf(children);
  if (direction === 'grid') {
    const columns = Math.max(FEWEST_COLUMNS, ...lines.map(({ length }) => length));
    const isDrawn = isDrawnSo(lines, columns);
    return {
      direction,
      rows: isDrawn ? lines.map((line) => filled(line, columns)) : inGrid(lines, columns),
      isMoved: !isDrawn,
    };
  }
  const axis = direction === 'row' ? 'x' : 'y';
  const drawn = children.toSorted((one, other) => one.place[axis] - other.place[axis]);
  const follow = followEachOther(drawn.map(boxOf), axis, BY_HAND.overlap);
  return {
    direction,
    children: follow ? drawn : inLine(lines.flat(), axis, gapOf(lines)),
    isMoved: !follow,
  };
}

function boxOf({ place }: PageNode): Box {
  return placedBox(place);
}

/** Nodes in reading order: lines from top to bottom, each from left to right. */
function linesOf(nodes: readonly PageNode[]): readonly (readonly PageNode[])[] {
  const lines: PageNode[][] = [];
  for (const node of nodes.toSorted((one, other) => boxOf(one).y - boxOf(other).y)) {
    const line = lines.at(-1);
    const isBeside = line && boxOf(node).y < bottom(boxAround(line.map(boxOf))) - BY_HAND.overlap;
    if (isBeside) line.push(node);
    else lines.push([node]);
  }
  return lines.map((line) => line.toSorted((one, other) => boxOf(one).x - boxOf(other).x));
}

/** Px between neighbours: the commonest space in lines, else between them. */
function gapOf(lines: readonly (readonly PageNode[])[]): number {
  const across = lines.flatMap((line) => spaces(line.map((node) => [boxOf(node).x, right(boxOf(node))])));
  const heights = lines.map((line) => boxAround(line.map(boxOf)));
  const free = (across.length > 0 ? across : spaces(heights.map((box) => [box.y, bottom(box)]))).filter(
    (space) => space > 0,
  );
  return free.length === 0 ? 0 : commonGap(free);
}

function spaces(spans: readonly (readonly [start: number, end: number])[]): readonly number[] {
  return spans.slice(1).map(([start], at) => start - spans[at]![1]);
}

function inLine(nodes: readonly PageNode[], axis: 'x' | 'y', gap: number): readonly PageNode[] {
  const around = boxAround(nodes.map(boxOf));
  let { x, y } = around;
  return nodes.map((node) => {
    const box = boxOf(node);
    const moved = displaced(node, x - box.x, y - box.y);
    if (axis === 'x') x += box.width + gap;
    else y += box.height + gap;
    return moved;
  });
}

function inGrid(
  lines: readonly (readonly PageNode[])[],
  columns: number,
): readonly (readonly (PageNode | null)[])[] {
  const nodes = lines.flat();
  const gap = gapOf(lines);
  const around = boxAround(nodes.map(boxOf));
  const widths = Array.from({ length: columns }, (_, column) =>
    Math.max(0, ...nodes.filter((_, at) => at % columns === column).map((node) => boxOf(node).width)),
  );
  const rows: (readonly (PageNode | null)[])[] = [];
  let y = around.y;
  for (let at = 0; at < nodes.length; at += columns) {
    const row = nodes.slice(at, at + columns);
    let x = around.x;
    const moved = row.map((node, column): PageNode => {
      const box = boxOf(node);
      const placed = displaced(node, x - box.x, y - box.y);
      x += widths[column]! + gap;
      return placed;
    });
    rows.push(filled(moved, columns));
    y += Math.max(...row.map((node) => boxOf(node).height)) + gap;
  }
  return rows;
}

/** A node elsewhere than it was drawn, which says so. */
function displaced(node: PageNode, x: number, y: number): PageNode {
  return x === 0 && y === 0 ? node : { ...moveNode(node, x, y), movedBy: { x, y } };
}

/** A row with an empty cell for each one that is missing at its end. */
function filled(row: readonly PageNode[], columns: number): readonly (PageNode | null)[] {
  return [...row, ...Array.from({ length: columns - row.length }, () => null)];
}

/** True for lines whose nodes stand in columns already. */
function isDrawnSo(lines: readonly (readonly PageNode[])[], columns: number): boolean {
  if (lines.some((line, at) => line.length !== columns && at < lines.length - 1)) return false;
  const ranges = Array.from({ length: columns }, (_, column) =>
    boxAround(lines.flatMap((line) => (line[column] ? [boxOf(line[column])] : []))),
  );
  return followEachOther(ranges, 'x', BY_HAND.overlap);
}
