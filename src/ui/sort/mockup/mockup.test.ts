import { boxScale, steppedScale, wholeScale } from './zoom';
import { distanceWords } from './distances';

const box = (x: number, y: number, width: number, height: number) => ({ x, y, width, height });

describe('zooming', () => {
  const view = { width: 428, height: 328 };

  it('shows the whole screen, and of a long one its width', () => {
    expect(wholeScale({ width: 800, height: 300 }, view)).toBe(0.5);
    expect(wholeScale({ width: 400, height: 600 }, view)).toBe(0.5);
    // Longer than two views: at least half of the scale that fits the width.
    expect(wholeScale({ width: 400, height: 9000 }, view)).toBe(0.5);
  });

  it('steps by the root of two, and meets 1:1', () => {
    expect(steppedScale(1, 1)).toBeCloseTo(Math.SQRT2);
    expect(steppedScale(0.9, 1)).toBe(1);
    expect(steppedScale(1.1, -1)).toBe(1);
    expect(steppedScale(32, 1)).toBe(32);
  });

  it('shows a box with room around it, not larger than its px can bear', () => {
    expect(boxScale(box(0, 0, 342.4, 10), view)).toBeCloseTo(1);
    expect(boxScale(box(0, 0, 1, 1), view)).toBe(8);
  });
});

describe('how far another layer is', () => {
  it.each([
    [box(130, 0, 10, 20), '30 px to the right, upper edges in line'],
    [box(0, 70.25, 100, 5), 'left edges in line, 50.3 px below'],
    [box(-20, -30, 10, 20), '10 px to the left, 10 px above'],
    [box(50, 10, 80, 20), 'left edges 50 px apart, upper edges 10 px apart'],
    [
      box(10, 5, 50, 10),
      'inside of it, 10 px from its left, 5 from its top, 40 from its right, 5 from its bottom',
    ],
    [
      box(-5, -5, 200, 200),
      'around it, 5 px from its left, 5 from its top, 95 from its right, 175 from its bottom',
    ],
  ])('%j: %s', (other, words) => expect(distanceWords(box(0, 0, 100, 20), other)).toBe(words));
});
