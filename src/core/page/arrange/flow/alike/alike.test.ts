import { box, INK, pageOf, solid, words } from '../../../../../../tests/support/pageTree';
import type { BoxNode, PageNode } from '../../../node';
import { likenSiblings } from './likeSiblings';
import { slotsOf } from './slots';

const dark = { fills: [solid(INK)] };

/** An entry of a menu: an icon, words, and now and then a badge; the entry itself paints nothing. */
function entry(
  name: string,
  y: number,
  icon: { x: number; dy: number },
  more: readonly PageNode[] = [],
): BoxNode {
  const parts = [
    box('icon', [icon.x, y + icon.dy, 20, 20], dark),
    words('label', [48, y, 60, 16], name),
    ...more,
  ];
  const top = Math.min(...parts.map(({ place }) => place.y));
  const end = Math.max(...parts.map(({ place }) => place.x + place.width));
  const low = Math.max(...parts.map(({ place }) => place.y + place.height));
  return { ...box('entry', [icon.x, top, end - icon.x, low - top], {}, ...parts), role: 'link', named: true };
}

const badge = (y: number) => box('badge', [150, y - 1, 24, 18], dark, words('count', [156, y, 12, 16], '3'));

const placesOf = (node: PageNode) => [node.place.x, node.place.y, node.place.width, node.place.height];

describe('entries with different parts', () => {
  const entries = [
    entry('Sailings', 100, { x: 18, dy: -2 }, [badge(100)]),
    entry('Harbours', 140, { x: 19, dy: -1 }),
    entry('Weather', 180, { x: 18, dy: -3 }),
    entry('Lights', 220, { x: 18, dy: -2 }, [badge(220)]),
  ];
  const made = likenSiblings(pageOf(...entries)).children as readonly BoxNode[];

  it('have each part at one place', () => {
    const fromLabel = made.map(({ children: [icon, label] }) => icon!.place.y - label!.place.y);
    expect(new Set(fromLabel)).toEqual(new Set([-2]));
    expect(new Set(made.map(({ children: [icon] }) => icon!.place.x))).toEqual(new Set([18]));
  });

  it('have boxes of one size, as wide as the widest', () => {
    expect(made.map(placesOf)).toEqual([100, 140, 180, 220].map((y) => [18, y - 2, 156, 20]));
  });

  it('keep the words where they are', () => {
    expect(made.map(({ children: [, label] }) => placesOf(label!))).toEqual(
      [100, 140, 180, 220].map((y) => [48, y, 60, 16]),
    );
  });

  it('stay as they are where something else stands in the room beside them', () => {
    const buoy = box('buoy', [130, 140, 30, 20], dark);
    const page = likenSiblings(pageOf(...entries, buoy));
    expect(placesOf(page.children[1]!)).toEqual([18, 138, 90, 20]);
  });
});

describe('the parts that correspond', () => {
  it('are found by kind, name and place, whatever is missing', () => {
    const [full, short] = [
      entry('Sailings', 0, { x: 18, dy: 0 }, [badge(0)]),
      { ...entry('Tickets', 40, { x: 18, dy: 0 }), children: [words('label', [48, 40, 60, 16], 'Tickets')] },
    ];
    expect(slotsOf([full, short]).map((slot) => slot.map((part) => part?.name ?? null))).toEqual([
      ['icon', null],
      ['label', 'label'],
      ['badge', null],
    ]);
  });

  it('are none in lists of different lengths: their entries stand as they do', () => {
    const list = (x: number, count: number, off: number) => ({
      ...box(
        'list',
        [x, 0, 100, 40 * count],
        {},
        ...Array.from({ length: count }, (_, at) =>
          box(
            'row',
            [x, at * 40 + (at > 0 ? off : 0), 100, 20],
            dark,
            words('one', [x, at * 40, 40, 16], 'Holm'),
          ),
        ),
      ),
      named: true,
    });
    const lists = [list(0, 2, 0), list(200, 3, 2)];
    const made = likenSiblings(pageOf(...lists)).children as readonly BoxNode[];
    expect(made.map(({ children }) => children.map(({ place }) => place.y))).toEqual([
      [0, 40],
      [0, 42, 82],
    ]);
  });
});
