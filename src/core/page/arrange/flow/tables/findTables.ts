import { boxAround, followEachOther, spread, union } from '../../../../mockup/box';
import { isPlain } from '../../../../look/look';
import { withoutNumber } from '../../../../sort/tellingNames';
import { isHeading, type Role } from '../../../../sort/vocabulary';
import type { Page } from '../../../frame';
import { mapBoxes, withChildren } from '../../../mapBoxes';
import type { BoxNode, PageNode, TextNode } from '../../../node';
import { placedBox } from '../../../placed';
import { BY_HAND } from '../../../tolerances';
import { leavesOf } from '../../../walk';
import { asPart } from '../asPart';
import { evenRows } from './evenRows';
import type { Cell, Row } from './row';
import { withoutStrayParts } from './strayParts';
import { ANCHORS } from '../xyCut';

/** Fewer rows or columns are a table only where the mockup names them so (common practice, no source). */
const FEWEST_ROWS = 3;
const FEWEST_COLUMNS = 3;
const FEWEST_NAMED = 2;
/** So many columns are no list of things any more (common practice, no source). */
const MANY_COLUMNS = 4;
/** Px by which cells of one column may be out of line. */
const OUT_OF_LINE = 3;
/** Words of a cell; more is content of its own. */
const MOST_TEXTS = 2;

/**
 * Rows below each other whose parts stand in columns are a table: rows with cells, and a row of headings where the first one
 * looks otherwise. Places are px of the screen.
 */
export function findTables(page: Page): Page {
  return { ...page, children: withTables(page.children).map((node) => withoutStrayParts(node, null)) };
}

const within = mapBoxes((box: BoxNode): PageNode => {
  const inside = withChildren(box, withTables(box.children));
  return asTable(inside) ?? inside;
});

/** Nodes with the tables among them; a row of headings right above belongs to its table. */
function withTables(nodes: readonly PageNode[]): readonly PageNode[] {
  const made: PageNode[] = [];
  for (const node of nodes.map(within)) {
    const above = made.at(-1);
    const headed = above && node.kind === 'box' && node.role === 'table' ? withHeadings(node, above) : null;
    if (headed) made.splice(-1, 1, headed);
    else made.push(node);
  }
  return made;
}

/** A row whose cells say which words they show. */
interface WordedRow extends Row {
  readonly cells: readonly WordedCell[];
}

interface WordedCell extends Cell {
  readonly texts: readonly TextNode[];
}

const ROW_ROLES: ReadonlySet<Role> = new Set(['box', 'item', 'list', 'section', 'row']);
const TABLE_ROLES: ReadonlySet<Role> = new Set(['box', 'list', 'section', 'table']);

function asTable(box: BoxNode): BoxNode | null {
  if (!mayBe('table', box, TABLE_ROLES)) return null;
  const isNamed =
    box.role === 'table' ||
    isCalled(box, 'table', 'tbody') ||
    box.children.some((row) => isCalled(row, 'tr'));
  const fewestColumns = isNamed ? FEWEST_NAMED : FEWEST_COLUMNS;
  const fewestRows = box.role === 'table' ? 1 : isNamed ? FEWEST_NAMED : FEWEST_ROWS;
  const parts = isNamed ? box.children.flatMap(rowsOfGroup) : box.children;
  if (parts.length < fewestRows) return null;
  const rows = parts.flatMap((part) => rowOf(part) ?? []);
  const [first] = rows;
  const columns = first?.cells.length ?? 0;
  if (!first || rows.length < parts.length || columns < fewestColumns) return null;
  if (!rows.every(({ cells }) => cells.length === columns) || !areBelowEachOther(rows) || !areAligned(rows))
    return null;
  const hasHeadings = isOfHeadings(first) || (rows[1] !== undefined && isHeadingRow(first, rows[1]));
  if (!isNamed && !hasHeadings && columns < MANY_COLUMNS) return null;
  const [, ...others] = rows;
  return {
    ...box,
    role: 'table',
    children: evenRows(hasHeadings ? [withPlainWords(first), ...others] : rows).map((row, at) =>
      tableRow(row, at === 0 && hasHeadings ? 'header-cell' : 'cell'),
    ),
  };
}

/** A table with a row of headings that stands right above it. */
function withHeadings(table: BoxNode, above: PageNode): BoxNode | null {
  const head = rowOf(above);
  const rows = table.children.flatMap((child) => rowOf(child) ?? []);
  const [first] = rows;
  if (!head || !first || !isPlain(table.look) || first.cells.some(({ node }) => node.role === 'header-cell'))
    return null;
  const all = [withPlainWords(head), ...rows];
  const isFitting = head.cells.length === first.cells.length && areBelowEachOther(all) && areAligned(all);
  if (!isFitting || !isHeadingRow(head, first)) return null;
  const around = union(placedBox(head.box.place), placedBox(table.place));
  const [headings, ...others] = evenRows(all);
  const children = [tableRow(headings!, 'header-cell'), ...others];
  return { ...table, children, place: { ...table.place, ...around } };
}

/** The rows of a group without a look, such as a table's head or body; any other node itself. */
function rowsOfGroup(node: PageNode): readonly PageNode[] {
  const isGroup =
    node.kind === 'box' &&
    isPlain(node.look) &&
    mayBe('table', node, TABLE_ROLES) &&
    node.href === undefined &&
    !node.hidden &&
    !node.states &&
    !node.place.linear &&
    rowOf(node) === null &&
    node.children.every((child) => rowOf(child) !== null);
  return isGroup ? node.children : [node];
}

function rowOf(node: PageNode): WordedRow | null {
  if (node.kind !== 'box' || !mayBe('row', node, ROW_ROLES) || node.href !== undefined || node.hidden)
    return null;
  if (node.place.linear || node.states || node.children.length < FEWEST_NAMED) return null;
  const cells = node.children.map(cellOf).toSorted((one, other) => one.box.x - other.box.x);
  const areCells = cells.every(({ texts, node: part }) => {
    const isShort = texts.length <= MOST_TEXTS && texts.every(({ lines }) => lines.length <= MOST_TEXTS);
    return isShort && !part.hidden && !part.place.linear;
  });
  const isRow =
    areCells &&
    followEachOther(
      cells.map(({ box }) => box),
      'x',
      BY_HAND.overlap,
    );
  return isRow && cells.some(({ texts }) => texts.length > 0) ? { box: node, cells } : null;
}

/** True for a node with a role that a table or its rows may have, where nobody said it has another one. */
function mayBe(role: Role, node: BoxNode, roles: ReadonlySet<Role>): boolean {
  return roles.has(node.role) && (!node.roleSaid || node.role === role);
}

/** True for a node with one of these names, whatever its number. */
function isCalled({ name }: PageNode, ...names: readonly string[]): boolean {
  return names.includes(withoutNumber(name));
}

function cellOf(node: PageNode): WordedCell {
  const leaves = leavesOf(node);
  return {
    node,
    box: boxAround((leaves.length > 0 ? leaves : [node]).map(({ place }) => placedBox(place))),
    texts: leaves.filter((leaf) => leaf.kind === 'text'),
  };
}

/** Borders that rows share make them overlap. */
function areBelowEachOther(rows: readonly Row[]): boolean {
  return followEachOther(
    rows.map(({ box }) => placedBox(box.place)),
    'y',
    BY_HAND.place,
  );
}

/** True for columns whose cells have a left edge, a right edge or a middle in common. */
function areAligned(rows: readonly Row[]): boolean {
  return rows[0]!.cells.every((_, column) => {
    const boxes = rows.map(({ cells }) => cells[column]!.box);
    return ANCHORS.some((anchor) => spread(boxes.map(anchor)) <= OUT_OF_LINE);
  });
}

/** True for a row that the mockup calls one of headings. */
function isOfHeadings({ cells }: WordedRow): boolean {
  return cells.every(({ node }) => node.role === 'header-cell');
}

/** True for words that look otherwise than those below them. */
function isHeadingRow({ cells }: WordedRow, below: WordedRow): boolean {
  const areWords =
    cells.every(({ texts }) => texts.length <= 1) &&
    cells.filter(({ texts }) => texts.length > 0).length * 2 > cells.length;
  const unlike = cells.filter(({ texts: [text] }, at) => {
    const [other] = below.cells[at]!.texts;
    const [type, otherType] = [text?.look.type, other?.look.type];
    return type && otherType && (type.weight !== otherType.weight || type.size !== otherType.size);
  });
  return areWords && unlike.length * 2 >= cells.length;
}

/** The row of headings, whose cells hold no headings of the page (HTML, §4.9.10 the th element, content model). */
function withPlainWords(row: WordedRow): WordedRow {
  return rowOf(plainWords(row.box)) ?? row;
}

function plainWords<Node extends PageNode>(node: Node): Node {
  if (node.kind === 'box') return { ...node, children: node.children.map(plainWords) };
  return node.kind === 'text' && isHeading(node.role) && !node.roleSaid ? { ...node, role: 'text' } : node;
}

function tableRow(row: BoxNode, role: 'cell' | 'header-cell'): BoxNode {
  return { ...row, role: 'row', children: row.children.map((cell) => asPart(cell, role)) };
}
