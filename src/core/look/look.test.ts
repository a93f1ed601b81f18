import { only, readInside } from '../../../tests/support/mockups';
import type { ShapeLayer } from '../mockup/layer';
import { IDENTITY, rotation } from '../mockup/matrix';
import { boxForm } from './boxForm';
import { fillOf } from './fills';
import { pathRectangle } from './pathRectangle';
import { unsayable } from './sayable';

function shape(content: string): ShapeLayer {
  return only(readInside(content), 'shape');
}

describe('what CSS knows as a box', () => {
  it.each([
    ['M1 2H9V8H1Z', { x: 1, y: 2, width: 8, height: 6 }],
    ['M1 2 L9 2 L9 8 L1 8 L1 2', { x: 1, y: 2, width: 8, height: 6 }],
    ['m1 2 h8 v6 h-8 z', { x: 1, y: 2, width: 8, height: 6 }],
    ['M1 2H9V8H1', null],
    ['M1 2L9 3L9 8L1 8Z', null],
    ['M1 2H9V8H1ZM2 3H4V5H2Z', null],
    ['M0 0A5 5 0 0 1 9 9', null],
  ])('%s', (d, box) => {
    expect(pathRectangle(d)).toEqual(box);
  });

  it('is a straight line that lies or stands, with the box of its stroke', () => {
    expect(
      boxForm(shape('<line x1="5" y1="10" x2="50" y2="10" stroke="red" stroke-width="4"/>')),
    ).toMatchObject({ kind: 'rule', box: { x: 5, y: 8, width: 45, height: 4 } });
    expect(
      boxForm(
        shape('<line x1="5" y1="10" x2="5" y2="30" stroke="red" stroke-width="2" stroke-linecap="square"/>'),
      ),
    ).toMatchObject({ box: { x: 4, y: 9, width: 2, height: 22 } });
    expect(boxForm(shape('<line x1="5" y1="10" x2="9" y2="30" stroke="red"/>'))).toBeNull();
  });
});

describe('what CSS cannot say', () => {
  it.each([
    ['<rect width="9" height="9" stroke="red" stroke-dasharray="2"/>', 'its outline is dashed'],
    ['<rect width="9" height="9" stroke="red" stroke-linejoin="bevel"/>', 'its corners are cut off'],
    ['<path d="M0 0L9 1L4 9Z"/>', 'it is a free shape'],
    ['<line x2="9" y1="5" y2="5" stroke="red" stroke-linecap="round"/>', 'its line has round ends'],
    [
      '<radialGradient id="g" fx=".1"><stop/><stop offset="1" stop-color="red"/></radialGradient><rect width="9" height="9" fill="url(#g)"/>',
      'its gradient shines from beside its centre',
    ],
    [
      '<linearGradient id="g" spreadMethod="reflect"><stop/><stop offset="1" stop-color="red"/></linearGradient><rect width="9" height="9" fill="url(#g)"/>',
      'its gradient is mirrored again and again',
    ],
    [
      '<filter id="f"><feTurbulence/></filter><rect width="9" height="9" filter="url(#f)"/>',
      'its filter has no CSS',
    ],
  ])('%s: %s', (content, why) => {
    expect(unsayable(shape(content), IDENTITY)).toBe(why);
  });

  it('says boxes, circles, rules and gradients', () => {
    for (const content of [
      '<rect width="9" height="9" rx="2" stroke="red"/>',
      '<circle r="4" fill="red"/>',
      '<line x2="9" y1="5" y2="5" stroke="red" stroke-dasharray="2 1"/>',
      '<linearGradient id="g" gradientTransform="rotate(30)"><stop/><stop offset="1" stop-color="red"/></linearGradient><rect width="9" height="9" fill="url(#g)"/>',
    ]) {
      expect(unsayable(shape(content), rotation(20))).toBeNull();
    }
  });
});

describe('gradients as fills', () => {
  const gradient = (attributes: string) =>
    shape(
      `<linearGradient id="g" ${attributes}><stop/><stop offset="1" stop-color="red"/></linearGradient><rect x="10" y="10" width="100" height="50" fill="url(#g)"/>`,
    );

  it('runs from edge to edge of the box', () => {
    const layer = gradient('');
    expect(fillOf(layer.fill!, IDENTITY, { x: 10, y: 10, width: 100, height: 50 })).toMatchObject({
      from: { x: 0, y: 0 },
      to: { x: 100, y: 0 },
    });
  });

  it('keeps lines of one colour slanted as the box stretches them', () => {
    // From corner to corner of a box that is twice as wide as high: the lines of one colour join the other two corners.
    const fill = fillOf(gradient('x2="1" y2="1"').fill!, IDENTITY, { x: 10, y: 10, width: 100, height: 50 });
    if (fill?.kind !== 'linear') throw new Error('No linear fill.');
    const offsetAt = (x: number, y: number) => {
      const [dx, dy] = [fill.to.x - fill.from.x, fill.to.y - fill.from.y];
      return ((x - fill.from.x) * dx + (y - fill.from.y) * dy) / (dx * dx + dy * dy);
    };
    expect(offsetAt(0, 0)).toBeCloseTo(0);
    expect(offsetAt(100, 50)).toBeCloseTo(1);
    expect(offsetAt(100, 0)).toBeCloseTo(0.5);
    expect(offsetAt(0, 50)).toBeCloseTo(0.5);
  });

  it('adds stops where colour and alpha change together', () => {
    const layer = shape(
      '<linearGradient id="g"><stop stop-color="red"/><stop offset="1" stop-color="blue" stop-opacity="0"/></linearGradient><rect width="9" height="9" fill="url(#g)"/>',
    );
    const fill = fillOf(layer.fill!, IDENTITY, { x: 0, y: 0, width: 9, height: 9 });
    expect(fill?.kind === 'linear' && fill.stops).toHaveLength(9);
  });

  it('gives nothing for a gradient that has been flattened', () => {
    expect(fillOf(gradient('').fill!, [0, 0, 0, 1, 0, 0], { x: 0, y: 0, width: 1, height: 1 })).toBeNull();
  });
});
