import { box, CHALK, solid, words } from '../../../../../../tests/support/pageTree';
import type { BoxNode, PageNode } from '../../../node';
import { placedBox } from '../../../placed';
import { leavesOf } from '../../../walk';
import { boxAround } from '../../../../mockup/box';
import { evenRows } from './evenRows';

const fill = { fills: [solid(CHALK)] };

const cell = (x: number, y: number, width: number, height: number, ...children: readonly PageNode[]) =>
  box('cell', [x, y, width, height], {}, ...children);

const word = (x: number, y: number, width = 30) => words('word', [x, y, width, 17], 'Holm');

const rowOf = (node: BoxNode) => ({
  box: node,
  cells: node.children.map((each) => ({
    node: each,
    box: boxAround(leavesOf(each).map(({ place }) => placedBox(place))),
  })),
});

/** Rows after evening: the box of each, and the boxes of its cells. */
function evened(...rows: readonly BoxNode[]) {
  return evenRows(rows.map(rowOf)).map((row) => ({
    row: edges(row),
    cells: row.children.map(edges),
    words: row.children.flatMap((each) => leavesOf(each).map(edges)),
  }));
}

function edges({ place }: PageNode): readonly number[] {
  return [place.x, place.y, place.width, place.height];
}

describe('the rows of a table', () => {
  it('end where the next begins, and are equally high where none moves by more than a px', () => {
    const rows = [0, 50, 99].map((y, at) =>
      box(
        'row',
        [0, y, 200, at === 0 ? 51 : 34],
        at === 0 ? fill : {},
        cell(0, y, 200, 34, word(12, y + 14)),
      ),
    );
    expect(evened(...rows).map(({ row }) => row)).toEqual([
      [0, 0, 200, 50],
      [0, 50, 200, 50],
      [0, 100, 200, 34],
    ]);
  });

  it('have bare words that end at one edge in the room of the widest', () => {
    const rows = [0, 40].map((y, at) =>
      box('row', [0, y, 200, 30], {}, word(0, y + 6), word(150 - 9 * at, y + 6, 40 + 9 * at)),
    );
    const [first, second] = evenRows(rows.map(rowOf));
    expect([first, second].map((row) => edges(row!.children[1]!))).toEqual([
      [141, 6, 49, 17],
      [141, 46, 49, 17],
    ]);
    expect(first!.children.map(({ look }) => look.type?.align)).toEqual(['start', 'end']);
  });

  it('have cells of one width that touch', () => {
    const rows = [0, 40].map((y, at) =>
      box(
        'row',
        [0, y, 200, 40],
        fill,
        cell(0, y, 61 + at, 40, word(12, y + 10)),
        cell(60 - at, y, 140, 40, word(72 - at, y + 10)),
      ),
    );
    const [first, second] = evened(...rows);
    expect(first!.cells).toEqual([
      [0, 0, 59, 40],
      [59, 0, 141, 40],
    ]);
    expect(second!.cells.map(([x, , width]) => [x, width])).toEqual(
      first!.cells.map(([x, , width]) => [x, width]),
    );
  });

  it('have words at one distance from the edges of their cells', () => {
    const rows = [0, 40, 80].map((y, at) =>
      box('row', [0, y, 200, 40], fill, cell(0, y, 200, 40, word(11 + at, y + 10))),
    );
    expect(evened(...rows).flatMap(({ words: found }) => found.map(([x]) => x))).toEqual([12, 12, 12]);
  });

  it('have figures that end at one edge, whatever their width', () => {
    const rows = [30, 50].map((width, at) =>
      box(
        'row',
        [0, at * 40, 100, 40],
        fill,
        cell(0, at * 40, 100, 40, word(88 - width, at * 40 + 10, width)),
      ),
    );
    expect(evened(...rows).map(({ words: [found] }) => found![0]! + found![2]!)).toEqual([88, 88]);
  });

  it('have cells around what stood in a row by itself', () => {
    const bare = box('row', [0, 0, 200, 40], {}, word(12, 10));
    const others = [40, 80].map((y) =>
      box('row', [0, y, 200, 40], fill, cell(0, y, 200, 40, word(12, y + 10))),
    );
    expect(evened(bare, ...others)[0]!.cells).toEqual([[0, 0, 200, 40]]);
  });
});
