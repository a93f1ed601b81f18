import { only, readInside } from '../../../tests/support/mockups';
import type { ShapeLayer } from '../mockup/layer';
import svgpath from 'svgpath';
import { IDENTITY, rotation } from '../mockup/matrix';
import { NO_RADII, pathData, type Radii } from '../mockup/outline';
import { boxForm } from './boxForm';
import { fillOf } from './fills';
import { formName } from './formName';
import { pathForm } from './pathForm';
import { CSS_CAPABILITIES } from '../emit/css/capabilities';
import { limitation } from './neededFeatures';

function shape(content: string): ShapeLayer {
  return only(readInside(content), 'shape');
}

describe('shapes that CSS can draw as boxes', () => {
  const form = (d: string, stroked = false) => pathForm(d, 'nonzero', stroked);
  const box = { x: 1, y: 2, width: 8, height: 6 };

  it.each(['M1 2H9V8H1Z', 'M1 2 L9 2 L9 8 L1 8 L1 2', 'm1 2 h8 v6 h-8 z', 'M1 2H5H9V8H1', 'M9 8V2H1v6z'])(
    '%s is a box',
    (d) => expect(form(d)).toEqual({ kind: 'box', box, radii: NO_RADII }),
  );

  it.each([
    'M1 2L9 3L9 8L1 8Z',
    'M1 2H9V8H1ZM2 3H4V5H2ZM6 3H7V4H6Z',
    'M0 0A5 5 0 0 1 9 9',
    'M5 0L10 5L5 10L0 5Z',
    'M1 2H9V8H1ZM1 2H9V8H1Z',
    'M0 0H10V10H0V0H10V10H0Z',
    'M0 0H10V10H5V5H0Z',
    'M0 5Q0 0 5 0H15Q20 0 20 5V15H0Z',
    '',
  ])('%s is a free shape', (d) => expect(form(d)).toBeNull());

  it('closes a path whose outline is drawn', () => {
    expect(form('M1 2H9V8H1')).not.toBeNull();
    expect(form('M1 2H9V8H1', true)).toBeNull();
  });

  // The reference is the outline that SVG 2, §10.2 gives to <rect>: sides and elliptical arcs.
  it('knows rounded boxes by each corner, whatever curves they are drawn with', () => {
    const radii: Radii = [
      { x: 4, y: 4 },
      { x: 0, y: 0 },
      { x: 10, y: 5 },
      { x: 2, y: 3 },
    ];
    const d = pathData({ kind: 'rect', box: { x: 3, y: 4, width: 60, height: 30 }, radii });
    const asCurves = svgpath(d).unarc().round(3).toString();
    for (const drawn of [d, asCurves, svgpath(d).rel().toString()]) {
      const found = form(drawn, true);
      if (found?.kind !== 'box') throw new Error(`${drawn} is no box`);
      expect(found.box).toEqual({ x: 3, y: 4, width: 60, height: 30 });
      found.radii.forEach((radius, at) => {
        expect(radius.x).toBeCloseTo(radii[at]!.x, 1);
        expect(radius.y).toBeCloseTo(radii[at]!.y, 1);
      });
    }
  });

  it.each([
    ['circle', '<path d="M50 10a20 20 0 1 1 0 40 20 20 0 1 1 0-40z"/>'],
    [
      'circle',
      '<path d="M30 30C30 18.954 38.954 10 50 10S70 18.954 70 30 61.046 50 50 50 30 41.046 30 30"/>',
    ],
    ['ellipse', '<path d="M10 30A40 20 0 0 1 90 30 40 20 0 0 1 10 30Z"/>'],
    ['pill', '<path d="M20 10H80A10 10 0 0 1 80 30H20A10 10 0 0 1 20 10Z"/>'],
    [
      'rounded box',
      '<path d="M14 10H86C88.2 10 90 11.8 90 14V46C90 48.2 88.2 50 86 50H14C11.8 50 10 48.2 10 46V14C10 11.8 11.8 10 14 10Z"/>',
    ],
    ['rule', '<path d="M10 20H90" stroke="red"/>'],
    ['rule', '<polyline points="10,20 10,90" stroke="red"/>'],
    ['frame', '<path fill-rule="evenodd" d="M10 10H90V50H10ZM12 12H88V48H12Z"/>'],
    ['frame', '<rect width="40" height="20" fill="none" stroke="red"/>'],
    ['box', '<polygon points="10 10 50 10 50 40 10 40"/>'],
    ['shape', '<path d="M10 10L90 30L10 50Z"/>'],
  ])('%s: %s', (name, content) => expect(formName(shape(content))).toBe(name));

  it('takes mitred border sides as bars, and nothing thicker', () => {
    const box = (d: string) => pathForm(d, 'nonzero', false);
    expect(box('M0 0H100L99 1H1Z')).toEqual({
      kind: 'box',
      box: { x: 0, y: 0, width: 100, height: 1 },
      radii: NO_RADII,
    });
    expect(box('M0 0H20L12 8H8Z')).toBeNull();
    expect(box('M0 0L100 1V2Z')).toBeNull();
  });

  it('intersects a box with the box that clips it', () => {
    const clipped = (clip: string) =>
      boxForm(shape(`<clipPath id="c">${clip}</clipPath><rect width="90" height="50" clip-path="url(#c)"/>`));
    expect(clipped('<rect x="10" y="10" width="40" height="20" rx="6"/>')).toMatchObject({
      kind: 'box',
      box: { x: 10, y: 10, width: 40, height: 20 },
      radii: [
        { x: 6, y: 6 },
        { x: 6, y: 6 },
        { x: 6, y: 6 },
        { x: 6, y: 6 },
      ],
      cut: true,
    });
    expect(clipped('<rect x="50" y="-10" width="80" height="30"/>')).toMatchObject({
      box: { x: 50, y: 0, width: 40, height: 20 },
    });
    expect(clipped('<path d="M0 0L90 0L45 50Z"/>')).toMatchObject({ cut: false });
  });

  it('takes a horizontal or vertical straight line as the box of its stroke', () => {
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

describe('what CSS cannot draw', () => {
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
      'it has a filter of more than shadows, blur and colours',
    ],
  ])('%s: %s', (content, why) => {
    expect(limitation(shape(content), IDENTITY, CSS_CAPABILITIES)).toBe(`${why}, which CSS cannot draw`);
  });

  it('draws boxes, circles, rules and gradients', () => {
    for (const content of [
      '<rect width="9" height="9" rx="2" stroke="red"/>',
      '<circle r="4" fill="red"/>',
      '<line x2="9" y1="5" y2="5" stroke="red" stroke-dasharray="2 1"/>',
      '<linearGradient id="g" gradientTransform="rotate(30)"><stop/><stop offset="1" stop-color="red"/></linearGradient><rect width="9" height="9" fill="url(#g)"/>',
    ]) {
      expect(limitation(shape(content), rotation(20), CSS_CAPABILITIES)).toBeNull();
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

  it('keeps lines of one colour slanted as SVG stretches them with the box', () => {
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

  it('gives nothing for a gradient whose transform is singular', () => {
    expect(fillOf(gradient('').fill!, [0, 0, 0, 1, 0, 0], { x: 0, y: 0, width: 1, height: 1 })).toBeNull();
  });
});
