import { shape } from '../../../../tests/support/shapes';
import { codesOf, layerNamed, readInside } from '../../../../tests/support/mockups';
import { sayFinding } from '../../findings/finding';
import { ReadError } from '../readError';

describe('shapes', () => {
  it('reads a rectangle with the radius rules of SVG 2, §10.2', () => {
    const { outline } = shape(readInside('<rect x="1" y="2" width="30" height="8" rx="20"/>'));
    expect(outline).toMatchObject({ kind: 'rect', box: { x: 1, y: 2, width: 30, height: 8 } });
    expect(outline.kind === 'rect' && outline.radii[0]).toEqual({ x: 15, y: 4 });
  });

  it('reads circles, ellipses, lines, polygons and paths', () => {
    const reading = readInside(`
      <circle id="c" cx="10" cy="10" r="5"/><ellipse id="e" cx="10" cy="10" rx="5" ry="2"/>
      <line id="l" x1="0" y1="1" x2="9" y2="1" stroke="red"/><polygon id="p" points="0,0 10,0 5,9"/>
      <polyline id="q" points="0 0 10 0 5 9"/><path id="d" d="m1 1 h8v8z"/>`);
    expect(layerNamed(reading, 'c')).toMatchObject({
      outline: { kind: 'ellipse', box: { x: 5, y: 5, width: 10, height: 10 } },
    });
    expect(layerNamed(reading, 'e')).toMatchObject({ outline: { box: { height: 4 } } });
    expect(layerNamed(reading, 'l')).toMatchObject({
      fill: null,
      stroke: { width: 1 },
      outline: { kind: 'line' },
    });
    expect(layerNamed(reading, 'p')).toMatchObject({ outline: { d: 'M0 0L10 0L5 9Z' } });
    expect(layerNamed(reading, 'q')).toMatchObject({ outline: { d: 'M0 0L10 0L5 9' } });
    expect(layerNamed(reading, 'd')).toMatchObject({ outline: { kind: 'path', d: 'M1 1H9V9Z' } });
  });

  it('draws a path up to its first error (SVG 2, §9.5.4)', () => {
    expect(shape(readInside('<path d="M0 0L10 0L10 10 oops L99 99"/>')).outline).toMatchObject({
      d: 'M0 0L10 0L10 10',
    });
  });

  it('takes percentages of the viewport', () => {
    expect(shape(readInside('<rect width="50%" height="50%"/>')).outline).toMatchObject({
      box: { width: 100, height: 50 },
    });
  });

  it('leaves out shapes without size', () => {
    expect(() => readInside('<rect width="0" height="5"/>')).toThrow(ReadError);
  });

  it('works opacities into the paint and keeps that of the layer', () => {
    const layer = shape(
      readInside('<rect width="9" height="9" fill="#f00" fill-opacity=".5" opacity=".25"/>'),
    );
    expect(layer.opacity).toBe(0.25);
    expect(layer.fill).toEqual({ kind: 'solid', colour: { r: 255, g: 0, b: 0, alpha: 0.5 } });
  });
});

describe('paints', () => {
  it('inherits stops and attributes along href (SVG 2, §14.1.1)', () => {
    const layer = shape(
      readInside(`<linearGradient id="a" gradientUnits="userSpaceOnUse" x2="100" spreadMethod="repeat"><stop stop-color="red"/>
        <stop offset="1" stop-color="blue" stop-opacity=".5"/></linearGradient><linearGradient id="b" xlink:href="#a" x1="10"/>
        <rect width="100" height="10" fill="url(#b)"/>`),
    );
    expect(layer.fill).toMatchObject({ kind: 'linear', x1: 10, x2: 100, spread: 'repeat' });
    expect(layer.fill?.kind === 'linear' && layer.fill.stops[1]?.colour.alpha).toBe(0.5);
  });

  it('measures gradients by the box of the shape', () => {
    const layer = shape(
      readInside(`<radialGradient id="g"><stop stop-color="red"/><stop offset="1" stop-color="blue"/></radialGradient>
        <rect x="10" y="20" width="100" height="50" fill="url(#g)"/>`),
    );
    expect(layer.fill).toMatchObject({ kind: 'radial', cx: 0.5, r: 0.5, transform: [100, 0, 0, 50, 10, 20] });
  });

  it('takes a gradient with one stop for its colour, and never lets offsets fall', () => {
    const one = shape(
      readInside(
        '<linearGradient id="g"><stop stop-color="red"/></linearGradient><rect width="9" height="9" fill="url(#g)"/>',
      ),
    );
    expect(one.fill).toMatchObject({ kind: 'solid' });
    const falling = shape(
      readInside(
        '<linearGradient id="g"><stop offset=".8"/><stop offset=".2" stop-color="red"/></linearGradient><rect width="9" height="9" fill="url(#g)"/>',
      ),
    );
    expect(falling.fill?.kind === 'linear' && falling.fill.stops.map((stop) => stop.offset)).toEqual([
      0.8, 0.8,
    ]);
  });

  it('ends on gradients that refer to one another', () => {
    const layer = shape(
      readInside(
        '<linearGradient id="a" href="#b"/><linearGradient id="b" href="#a"/><rect width="9" height="9" fill="url(#a)" stroke="red"/>',
      ),
    );
    expect(layer.fill).toBeNull();
  });

  it('keeps patterns as they were drawn, and says so', () => {
    const reading = readInside(
      '<pattern id="p" width="4" height="4"><rect width="2" height="2"/></pattern><rect width="9" height="9" fill="url(#p)"/>',
    );
    expect(shape(reading).fill).toEqual({ kind: 'defined', definition: 'p', opacity: 1 });
    expect(reading.mockup.definitions.p).toMatchObject({ name: 'pattern' });
    expect(codesOf(reading)).toContain('pattern-kept');
  });

  it('falls back when a paint is missing, and says which', () => {
    const reading = readInside('<rect width="9" height="9" fill="url(#gone) blue"/>');
    expect(shape(reading).fill).toMatchObject({ colour: { b: 255 } });
    expect(reading.findings.map(sayFinding)).toContain('fill refers to #gone, which is not in the file.');
  });

  it('repeats an odd list of dashes (SVG 2, §13.5.6)', () => {
    expect(
      shape(readInside('<path d="M0 0h9" stroke="red" stroke-dasharray="1 2 3"/>')).stroke?.dashes,
    ).toEqual([1, 2, 3, 1, 2, 3]);
  });
});

describe('the cascade', () => {
  const style = (css: string, body: string) => shape(readInside(`<style>${css}</style>${body}`));

  it('lets rules beat attributes, style attributes beat rules, and !important beat all', () => {
    expect(style('rect{fill:#00f}', '<rect width="9" height="9" fill="#f00"/>').fill).toMatchObject({
      colour: { b: 255 },
    });
    expect(style('rect{fill:#00f}', '<rect width="9" height="9" style="fill:#0f0"/>').fill).toMatchObject({
      colour: { g: 255 },
    });
    expect(
      style('rect{fill:#00f!important}', '<rect width="9" height="9" style="fill:#0f0"/>').fill,
    ).toMatchObject({ colour: { b: 255 } });
  });

  it('weighs selectors by specificity, then by order', () => {
    const css = '#a{fill:#f00} .b.c{fill:#0f0} .b{fill:#00f} .b{fill:#0ff}';
    expect(style(css, '<rect id="a" class="b c" width="9" height="9"/>').fill).toMatchObject({
      colour: { r: 255 },
    });
    expect(style(css, '<rect class="b c" width="9" height="9"/>').fill).toMatchObject({
      colour: { r: 0, g: 255, b: 0 },
    });
    expect(style(css, '<rect class="b" width="9" height="9"/>').fill).toMatchObject({
      colour: { g: 255, b: 255 },
    });
  });

  it('knows child, attribute and nth selectors', () => {
    expect(
      style(
        'g > rect:nth-child(2)[data-x="1"]{fill:#f00}',
        '<g><title/><rect data-x="1" width="9" height="9"/></g>',
      ).fill,
    ).toMatchObject({ colour: { r: 255 } });
  });

  it('fills in variables and currentColor', () => {
    expect(style('svg{--ink:#0f0} rect{fill:var(--ink)}', '<rect width="9" height="9"/>').fill).toMatchObject(
      { colour: { g: 255 } },
    );
    expect(style('rect{fill:var(--none, #00f)}', '<rect width="9" height="9"/>').fill).toMatchObject({
      colour: { b: 255 },
    });
    expect(
      shape(readInside('<g color="#f00"><rect width="9" height="9" fill="currentColor"/></g>')).fill,
    ).toMatchObject({ colour: { r: 255 } });
  });

  it('says which rules it leaves out', () => {
    const reading = readInside(
      '<style>@import url(https://example.test/a.css); rect:nonsense(3){fill:red} @media (max-width:9px){rect{fill:red}}</style><rect width="9" height="9"/>',
    );
    expect(codesOf(reading)).toEqual(expect.arrayContaining(['outside-reference', 'css-ignored']));
    expect(shape(reading).fill).toMatchObject({ colour: { r: 0 } });
  });
});
