import { right, spread, type Box } from '../../../../mockup/box';
import type { BoxNode, PageNode, TextNode } from '../../../node';
import { placedBox } from '../../../placed';
import { moveNode } from '../../../moveNode';
import { BY_HAND, WIDEST_LINE } from '../../../tolerances';
import { middleOf } from '../../lengths';
import { endingFrom } from './endingWords';
import { isNear } from './row';

/** A cell in the edges of its column and its row. */
export interface EvenedCell {
  readonly cell: PageNode;
  /** What it shows. */
  readonly content: Box;
}

type Anchor = 'start' | 'end';

/** The edge that the content of a column keeps a distance to, px, and its distance from the top of the cells. */
export interface Padding {
  /** Null for none. */
  readonly anchor: Anchor | null;
  readonly side: number;
  /** Null for none. */
  readonly top: number | null;
  /** True for a column of short words on one line each. */
  readonly keepsLine: boolean;
}

const beforeContent = ({ cell, content }: EvenedCell): number => content.x - cell.place.x;
const afterContent = ({ cell, content }: EvenedCell): number => right(placedBox(cell.place)) - right(content);
const aboveContent = ({ cell, content }: EvenedCell): number => content.y - cell.place.y;

/** The padding of each column. */
export function paddingsOf(rows: readonly (readonly EvenedCell[])[]): readonly Padding[] {
  const own = rows[0]!.map((_, column) => paddingOf(rows.map((row) => row[column]!)));
  const sides = withCommon(own.map(({ anchor, side }) => (anchor ? side : null)));
  const tops = withCommon(own.map(({ top }) => top));
  return own.map((each, column) => ({ ...each, side: sides[column] ?? 0, top: tops[column]! }));
}

function paddingOf(cells: readonly EvenedCell[]): Padding {
  const none: Padding = { anchor: null, side: 0, top: null, keepsLine: false };
  if (!cells.every(({ cell }) => cell.kind === 'box')) return none;
  const [before, after, above] = [beforeContent, afterContent, aboveContent].map((of) => cells.map(of));
  const top = spread(above!) <= BY_HAND.place ? middleOf(above!) : null;
  const isAtStart = spread(before!) <= BY_HAND.place;
  const isAtEnd = !isAtStart && spread(after!) <= BY_HAND.place;
  const side = isAtStart ? middleOf(before!) : isAtEnd ? middleOf(after!) : 0;
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
  const between = middleOf(most);
  return lengths.map((each) => (each !== null && isNear(each, between) ? between : each));
}

/** A cell whose content keeps the distances of its column. */
export function withPadding(each: EvenedCell, { anchor, side, top, keepsLine }: Padding): PageNode {
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
  return endingFrom(text, cell.place.x + side);
}
