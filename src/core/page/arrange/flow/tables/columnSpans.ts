import { isPlain } from '../../../../look/look';
import { right, spread, type Box } from '../../../../mockup/box';
import type { PageNode } from '../../../node';
import { placedBox } from '../../../placed';
import { BY_HAND } from '../../../tolerances';
import { middleOf } from '../../lengths';
import { isNear, type Row, type Span } from './row';

/** The edges of the cells of a column, px. */
interface Edges {
  readonly lefts: readonly number[];
  readonly rights: readonly number[];
}

function edgesOf(cells: readonly PageNode[]): Edges {
  const boxes = cells.map(({ place }) => placedBox(place));
  return { lefts: boxes.map(({ x }) => x), rights: boxes.map(right) };
}

function areAt({ lefts, rights }: Edges): boolean {
  return spread(lefts) <= BY_HAND.place && spread(rights) <= BY_HAND.place;
}

/** True where no cell of a column reaches beyond those that show its edges. */
function isAround(drawn: Edges, { lefts, rights }: Edges): boolean {
  return (
    Math.min(...lefts) >= Math.min(...drawn.lefts) - BY_HAND.place &&
    Math.max(...rights) <= Math.max(...drawn.rights) + BY_HAND.place
  );
}

/** The edges of each column, px; null for one whose cells mostly are no boxes, or show that they have several widths. */
export function columnSpans(rows: readonly Row[], around: Box): readonly (Span | null)[] {
  const edges = rows[0]!.cells.map((_, column): Span | null => {
    const cells = rows.map(({ cells: all }) => all[column]!.node).filter(({ kind }) => kind === 'box');
    if (cells.length * 2 <= rows.length) return null;
    const drawn = edgesOf(cells.filter(({ look }) => !isPlain(look)));
    const { lefts, rights } = edgesOf(cells);
    // Cells without a look end with their words: those that show their edges say where the column is.
    if (drawn.lefts.length * 2 > rows.length && areAt(drawn) && isAround(drawn, { lefts, rights }))
      return { start: middleOf(drawn.lefts), end: middleOf(drawn.rights) };
    if (areAt({ lefts, rights })) return { start: middleOf(lefts), end: middleOf(rights) };
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
