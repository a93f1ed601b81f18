import { WIDEST_LINE } from '../tolerances';
import type { BoxNode, PageNode } from '../node';
import { comfortOf, flowing, sides } from './comfort';
import { note, type TableColumn, type WindowTrial } from './windowChange';

/**
 * The columns of a table get narrower for all of its rows together, and it scrolls in itself where that is not enough: in
 * lines its cells would say nothing.
 */
export function tableIn(node: BoxNode, room: number, trial: WindowTrial): void {
  const rows = flowing(node.children).filter((row): row is BoxNode => row.kind === 'box');
  const columns = columnsOf(rows);
  const gaps = columns ? (rows[0]!.layout?.gap ?? 0) * (columns.length - 1) : 0;
  const around = Math.max(0, ...rows.map(({ layout }) => sides(layout))) + gaps;
  const widthOf = (side: 'least' | 'drawn') =>
    columns
      ? columns.reduce((all, column) => all + column[side], around)
      : Math.max(0, ...rows.map(comfortOf));
  const free = room + 1 - sides(node.layout);
  if (widthOf('drawn') <= free) return;
  if (columns) note(trial, node, { columns });
  const least = Math.ceil(widthOf('least'));
  if (least > free) note(trial, node, { scrolls: true, least });
}

/** The columns that all rows of a table have; null where they have none in common. */
function columnsOf(rows: readonly BoxNode[]): readonly TableColumn[] | null {
  const [first] = rows;
  const tracks = first?.layout?.direction === 'grid' ? first.layout.tracks : [];
  const areShared = rows.every(
    ({ layout }) => layout?.direction === 'grid' && layout.tracks.length === tracks.length,
  );
  if (tracks.length === 0 || !areShared) return null;
  return tracks.map((track, column) => {
    const cells = rows.flatMap(({ children }) =>
      flowing(children).filter((_, at) => at % tracks.length === column),
    );
    const least = Math.ceil(Math.max(0, ...cells.map(leastOfCell)));
    const drawn = track.kind === 'px' ? track.width : Math.max(0, ...cells.map(({ place }) => place.width));
    return { least, drawn: Math.max(least, Math.round(drawn)) };
  });
}

function leastOfCell(node: PageNode): number {
  const comfort = comfortOf(node);
  if (node.kind === 'text') {
    const longest = Math.max(0, ...node.lines.map(({ width }) => width));
    return Math.max(comfort, Math.min(WIDEST_LINE, longest) + sides(node.layout));
  }
  if (node.kind !== 'box' || !node.layout) return comfort;
  return Math.max(comfort, sides(node.layout) + Math.max(0, ...flowing(node.children).map(leastOfCell)));
}
