import { svgPathBbox } from 'svg-path-bbox';
import { pathBox } from './pathBox';
import fc from 'fast-check';
import { boxOf, contains, intersection, snapOut, transformBox, union } from './box';
import {
  applyTo,
  invert,
  isUniform,
  isUpright,
  multiply,
  rotation,
  scaling,
  translation,
  type Matrix,
} from './matrix';
import {
  NO_RADII,
  type Outline,
  containsRounded,
  evenRadii,
  outlineBox,
  pathData,
  transformOutline,
  transformedBox,
} from './outline';

const number = fc.double({ min: -500, max: 500, noNaN: true });
const matrix = fc.tuple(number, number, number, number, number, number) as fc.Arbitrary<Matrix>;
const side = fc.double({ min: 0.1, max: 500, noNaN: true });
const box = fc.record({ x: number, y: number, width: side, height: side });

describe('matrix', () => {
  it('applies the inner transform first', () => {
    const moved = multiply(translation(10, 0), scaling(2, 2));
    expect(applyTo(moved, { x: 3, y: 4 })).toEqual({ x: 16, y: 8 });
  });

  it('turns clockwise on screen, where y grows downwards', () => {
    const point = applyTo(rotation(90), { x: 1, y: 0 });
    expect(point.x).toBeCloseTo(0);
    expect(point.y).toBeCloseTo(1);
  });

  it('is undone by its inverse', () => {
    fc.assert(
      fc.property(matrix, number, number, (one, x, y) => {
        const inverse = invert(one);
        fc.pre(inverse !== null && Math.abs(one[0] * one[3] - one[1] * one[2]) > 1);
        const back = applyTo(inverse!, applyTo(one, { x, y }));
        expect(Math.abs(back.x - x)).toBeLessThan(1e-4);
        expect(Math.abs(back.y - y)).toBeLessThan(1e-4);
      }),
    );
  });

  it('has no inverse when it flattens the plane', () => {
    expect(invert([1, 2, 2, 4, 0, 0])).toBeNull();
  });

  it('knows upright and uniform transforms', () => {
    expect(isUpright(scaling(2, 3))).toBe(true);
    expect(isUniform(scaling(2, 3))).toBe(false);
    expect(isUpright(scaling(-1, 1))).toBe(false);
    expect(isUpright(rotation(10))).toBe(false);
  });
});

describe('box', () => {
  it('contains both boxes in their union, and their intersection in both', () => {
    fc.assert(
      fc.property(box, box, (one, other) => {
        const all = union(one, other)!;
        expect(contains(all, one) && contains(all, other)).toBe(true);
        const shared = intersection(one, other);
        if (shared) expect(contains(one, shared) && contains(other, shared)).toBe(true);
      }),
    );
  });

  it('treats null as the neutral box', () => {
    expect(union(null, null)).toBeNull();
    expect(union(null, boxOf(1, 2, 3, 4))).toEqual({ x: 1, y: 2, width: 2, height: 2 });
  });

  it('snaps outwards to whole px, and ignores rounding noise', () => {
    expect(snapOut(boxOf(0.5, 1, 9.2, 4))).toEqual({ x: 0, y: 1, width: 10, height: 3 });
    expect(snapOut(boxOf(0.99999, 1, 9.00001, 4))).toEqual({ x: 1, y: 1, width: 8, height: 3 });
  });

  it('encloses a turned box', () => {
    const turned = transformBox(rotation(45), { x: -1, y: -1, width: 2, height: 2 });
    expect(turned.width).toBeCloseTo(2 * Math.SQRT2);
  });
});

describe('outline', () => {
  const rounded: Outline = { kind: 'rect', box: boxOf(0, 0, 20, 10), radii: evenRadii(3, 3) };

  it('keeps its kind through upright transforms', () => {
    const moved = transformOutline(rounded, [2, 0, 0, 3, 5, 5]);
    expect(moved).toMatchObject({ kind: 'rect', box: { x: 5, y: 5, width: 40, height: 30 } });
    expect(moved.kind === 'rect' && moved.radii[0]).toEqual({ x: 6, y: 9 });
  });

  it('keeps its kind when it is mirrored or turned by quarters', () => {
    fc.assert(
      fc.property(fc.constantFrom(0, 90, 180, 270), fc.constantFrom(-2, 1, 3), (degrees, mirror) => {
        const matrix = multiply(rotation(degrees), scaling(mirror, 2));
        const moved = transformOutline(rounded, matrix);
        expect(moved.kind).toBe('rect');
        const path = transformOutline({ kind: 'path', d: pathData(rounded), rule: 'nonzero' }, matrix);
        const [box, around] = [outlineBox(moved)!, outlineBox(path)!];
        for (const side of ['x', 'y', 'width', 'height'] as const)
          expect(box[side]).toBeCloseTo(around[side]);
      }),
    );
  });

  it('becomes a path when it is turned', () => {
    expect(transformOutline(rounded, rotation(30)).kind).toBe('path');
  });

  it('is a line however it is turned', () => {
    const turned = transformOutline({ kind: 'line', x1: 1, y1: 2, x2: 5, y2: 2 }, [0, 1, -1, 0, 10, 0]);
    expect(turned).toEqual({ kind: 'line', x1: 8, y1: 1, x2: 8, y2: 5 });
  });

  it('contains a box up to its round corners', () => {
    const outer = { x: 0, y: 0, width: 100, height: 60 };
    const holds = (x: number, y: number, width: number, height: number) =>
      containsRounded(outer, evenRadii(20, 20), { x, y, width, height });
    expect(holds(0, 20, 100, 20)).toBe(true);
    // The corner of a square in a circle is 1 - 1/√2 of its radius off both edges.
    const off = 20 * (1 - Math.SQRT1_2);
    expect(holds(off + 0.01, off + 0.01, 40, 30)).toBe(true);
    expect(holds(off - 0.01, off - 0.01, 40, 30)).toBe(false);
    expect(holds(50, 20, 60, 20)).toBe(false);
  });

  it('has the same box as a shape and as a path', () => {
    fc.assert(
      fc.property(box, (one) => {
        for (const outline of [
          { kind: 'ellipse', box: one },
          { kind: 'rect', box: one, radii: NO_RADII },
        ] satisfies Outline[]) {
          const around = outlineBox({ kind: 'path', d: pathData(outline), rule: 'nonzero' })!;
          expect(Math.abs(around.x - one.x)).toBeLessThan(0.01);
          expect(Math.abs(around.width - one.width)).toBeLessThan(0.01);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('measures curves, not their control points', () => {
    // The extremum of this cubic lies at t = ½: y = ¾ of the control points' height.
    expect(outlineBox({ kind: 'path', d: 'M0 0C0 40 40 40 40 0', rule: 'nonzero' })).toEqual({
      x: 0,
      y: 0,
      width: 40,
      height: 30,
    });
  });

  it('has the box that an outside library finds', () => {
    // Source: svg-path-bbox, for random paths of every command.
    const at = fc.integer({ min: -60, max: 60 });
    const command = fc.oneof(
      fc.tuple(fc.constantFrom('L', 'l', 'T', 't'), at, at),
      fc.tuple(fc.constantFrom('H', 'h', 'V', 'v'), at),
      fc.tuple(fc.constantFrom('Q', 'q', 'S', 's'), at, at, at, at),
      fc.tuple(fc.constantFrom('C', 'c'), at, at, at, at, at, at),
      fc.tuple(
        fc.constantFrom('A', 'a'),
        fc.integer({ min: 5, max: 40 }),
        fc.integer({ min: 5, max: 40 }),
        at,
        fc.constantFrom(0, 1),
        fc.constantFrom(0, 1),
        at,
        at,
      ),
    );
    fc.assert(
      fc.property(fc.array(command, { minLength: 1, maxLength: 8 }), (commands) => {
        const d = `M3 4${commands.map((parts) => parts.join(' ')).join('')}`;
        // The library takes an arc for a curve that a following shorthand mirrors; SVG 2, §9.3.6 says it does not.
        fc.pre(!/[Aa][^A-Za-z]*[SsTt]/.test(d));
        const { x, y, width, height } = pathBox(d)!;
        // Arcs are drawn by curves that stray by less than a thousandth of their size.
        [x, y, x + width, y + height].forEach((value, side) =>
          expect(Math.abs(value - svgPathBbox(d)[side]!)).toBeLessThan(0.1),
        );
      }),
      { numRuns: 300 },
    );
  });

  it('measures long paths in a moment', () => {
    expect(pathBox(`M0 0${'L1 1L2 0'.repeat(100_000)}`)).toEqual({ x: 0, y: 0, width: 2, height: 1 });
  });

  it('gives nothing for a path that draws nothing', () => {
    expect(transformedBox({ kind: 'path', d: '', rule: 'nonzero' }, rotation(1))).toBeNull();
  });
});
