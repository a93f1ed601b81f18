import { box, CHALK, INK, pageOf, solid, words } from '../../../../../tests/support/pageTree';
import { createMemo, usingMemo } from '../../../mockup/memoize';
import type { BoxNode, PageNode } from '../../node';
import { alignNearEdges } from './nearEdges';

const plate = { fills: [solid(CHALK)] };
const dark = { fills: [solid(INK)] };

const placesOf = (nodes: readonly PageNode[]) =>
  nodes.map(({ place: { x, y, width, height } }) => [x, y, width, height]);

/** The places of the parts of a box after the pass. */
function partsOf(deck: BoxNode): readonly (readonly number[])[] {
  const [made] = alignNearEdges(pageOf(deck)).children;
  return placesOf((made as BoxNode).children);
}

const deck = (...parts: readonly PageNode[]) => box('deck', [0, 0, 200, 100], plate, ...parts);

describe('edges that are nearly in line', () => {
  it('are where the box around has them', () => {
    expect(partsOf(deck(box('one', [0.5, 10, 199, 20], dark)))).toEqual([[0, 10, 200, 20]]);
  });

  it('are inside of the border of the box around', () => {
    const framed = {
      ...deck(box('one', [0.5, 10, 150, 20], dark)),
      look: { border: { width: 1, colour: INK } },
    };
    expect(partsOf(framed)).toEqual([[1, 10, 149.5, 20]]);
  });

  it('are where most siblings have them', () => {
    const parts = [20, 20.5, 20].map((x, at) => box('part', [x, 10 + at * 30, 160 - x, 20], dark));
    expect(partsOf(deck(...parts)).map(([x]) => x)).toEqual([20, 20, 20]);
  });

  it('stay where they are a px away, in small boxes, and alone', () => {
    const drawn = [
      [20, 10, 100, 20],
      [21, 40, 80, 20],
      [20.5, 70, 8, 8],
      [60.5, 70, 30, 20],
    ] as const;
    const parts = drawn.map(([x, y, width, height]) => box('part', [x, y, width, height], dark));
    expect(partsOf(deck(...parts))).toEqual(drawn);
  });

  it('do not resize words', () => {
    const parts = [
      box('one', [20, 10, 100, 20], dark),
      box('two', [20, 34, 90, 20], dark),
      words('name', [20.5, 60, 40, 17], 'Holm'),
    ];
    expect(partsOf(deck(...parts))[2]).toEqual([20, 60, 40, 17]);
  });

  it('leave what is turned as it is', () => {
    const part = box('one', [0.5, 10, 199, 20], dark);
    const turned: BoxNode = { ...part, place: { ...part.place, linear: [0, 1, -1, 0] } as BoxNode['place'] };
    expect(partsOf(deck(turned))).toEqual([[0.5, 10, 199, 20]]);
  });
});

it('a box that reaches into its neighbour by a px ends there', () => {
  const parts = [box('one', [20, 10, 100, 21], dark), box('two', [20, 30, 100, 20], dark)];
  expect(partsOf(deck(...parts))).toEqual([
    [20, 10, 100, 20],
    [20, 30, 100, 20],
  ]);
});

it('what is in line already stays the same object, and what moves is made once', () => {
  const still = deck(box('one', [20, 10, 100, 20], dark));
  const moving = deck(box('one', [0.5, 10, 199, 20], dark));
  usingMemo(createMemo(), () => {
    const [first, second] = [1, 2].map(() => alignNearEdges(pageOf(still, moving)).children);
    expect(first![0]).toBe(still);
    expect(second![1]).toBe(first![1]);
  });
});
