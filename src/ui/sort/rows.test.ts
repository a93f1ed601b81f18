import { box, group, mockupOf, mockup } from '../../../tests/support/sortMockup';
import type { Box } from '../../core/mockup/box';
import type { Decision } from '../../core/sort/decision';
import { hitIndex } from './mockup/hitIndex';
import { layerLabel } from '../../core/look/layerLabel';
import { ancestorsOf, foldedAtFirst, visibleRows } from './rows';

describe('rows', () => {
  it('follow the drawing order, with their levels', () => {
    expect(
      visibleRows(mockup.screens[0]!, new Set()).map((row) => [row.layer.id, row.level, row.parent]),
    ).toEqual([
      ['a', 1, null],
      ['a1', 2, 'a'],
      ['b', 2, 'a'],
      ['b1', 3, 'b'],
      ['b2', 3, 'b'],
      ['c', 1, null],
    ]);
  });

  it('hide folded layers', () => {
    expect(visibleRows(mockup.screens[0]!, new Set(['b'])).map((row) => row.layer.id)).toEqual([
      'a',
      'a1',
      'b',
      'c',
    ]);
    expect(visibleRows(mockup.screens[0]!, new Set(['a'])).map((row) => row.layer.id)).toEqual(['a', 'c']);
  });

  it('open small mockups completely, and of large ones the first two levels', () => {
    expect(foldedAtFirst(mockup).size).toBe(0);
    const large = mockupOf(group('a', group('b', ...Array.from({ length: 300 }, (_, at) => box(`x${at}`)))));
    expect([...foldedAtFirst(large)]).toEqual(['b']);
  });

  it('know the groups around a layer', () => {
    expect(ancestorsOf(mockup.screens[0]!, 'b1')).toEqual(['b', 'a']);
  });
});

describe('labels', () => {
  it('are the name, the words, or the kind of the layer', () => {
    expect(layerLabel(group('menu', box('x')))).toEqual({ text: 'menu', own: true });
    expect(layerLabel({ ...group('g', box('x'), box('y')), sourceName: null })).toEqual({
      text: 'drawing (group of 2)',
      own: false,
    });
    expect(layerLabel(box('x'))).toEqual({ text: 'box', own: false });
  });
});

describe('hit testing', () => {
  const boxes = new Map<string, Box>([
    ['a', { x: 0, y: 0, width: 15, height: 10 }],
    ['a1', { x: 0, y: 0, width: 10, height: 10 }],
    ['b', { x: 0, y: 0, width: 15, height: 10 }],
    ['b1', { x: 0, y: 0, width: 10, height: 10 }],
    ['b2', { x: 5, y: 0, width: 10, height: 10 }],
    ['c', { x: 50, y: 0, width: 10, height: 10 }],
  ]);
  const decision = (outcome: Decision['outcome']) => ({ outcome }) as Decision;

  it('gives the topmost layer first, then those beneath', () => {
    expect(hitIndex(mockup.screens[0]!, boxes, new Map()).at(7, 5)).toEqual(['b2', 'b1', 'a1']);
    expect(hitIndex(mockup.screens[0]!, boxes, new Map()).at(30, 5)).toEqual([]);
  });

  it('takes a picture as a whole, and ignores layers that are aside', () => {
    expect(hitIndex(mockup.screens[0]!, boxes, new Map([['b', decision('picture')]])).at(7, 5)).toEqual([
      'b',
      'a1',
    ]);
    expect(hitIndex(mockup.screens[0]!, boxes, new Map([['a1', decision('aside')]])).at(7, 5)).toEqual([
      'b2',
      'b1',
    ]);
  });
});
