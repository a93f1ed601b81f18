import fc from 'fast-check';
import { overlaps } from './box';
import { IDENTITY, rotation, translation, multiply } from './matrix';
import { quadOf, quadsOverlap } from './quad';

describe('transformed boxes', () => {
  const side = fc.double({ min: 0.1, max: 50, noNaN: true });
  const box = fc.record({ x: side, y: side, width: side, height: side });
  const UNIT = { x: -0.5, y: -0.5, width: 1, height: 1 };

  it('overlap as upright boxes do when they are upright', () => {
    fc.assert(
      fc.property(box, box, side, (one, other, by) => {
        const quads = [one, other].map((each) => quadOf(IDENTITY, each)) as [never, never];
        expect(quadsOverlap(...quads, by)).toBe(overlaps(one, other, by));
      }),
    );
  });

  // By hand: a unit square turned by 45° reaches √½ ≈ 0.707 from its middle along the axes.
  it.each([
    [1.2, true],
    [1.21, false],
  ])('a square on its corner touches the next one from %s px on: %s', (distance, meet) => {
    const turned = quadOf(rotation(45), UNIT);
    const next = quadOf(translation(distance, 0), UNIT);
    expect(quadsOverlap(turned, next, 0)).toBe(meet);
  });

  it('do not overlap when only their bounding boxes do', () => {
    const line = { x: 0, y: 0, width: 100, height: 10 };
    const turned = quadOf(rotation(45), line);
    const beneath = quadOf(translation(40, 0), { x: 0, y: 0, width: 20, height: 20 });
    expect(quadsOverlap(turned, beneath, 0)).toBe(false);
    expect(quadsOverlap(turned, quadOf(multiply(translation(40, 40), rotation(10)), UNIT), 0)).toBe(true);
  });
});
