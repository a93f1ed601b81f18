import { multiply, rotation, translation } from '../../mockup/matrix';
import { parseColour } from './colours';
import { nestsDeeper } from './cssDepth';
import { readDataUri } from './dataUri';
import { parseLength, parseLengths, parseShare } from './lengths';
import { expandShorthand } from './shorthands';
import { parseFamilies } from './texts/runs';
import { parseTransform } from './transforms';
import { fitViewBox, parseViewBox } from './viewports';

const context = { fontSize: 20, percentOf: 200 };

describe('lengths', () => {
  // CSS Values 4, §6.2: 1in = 96px = 72pt = 6pc = 2.54cm.
  it.each([
    ['12', 12],
    ['1in', 96],
    ['72pt', 96],
    ['6pc', 96],
    ['2.54cm', 96],
    ['25.4mm', 96],
    ['2em', 40],
    ['50%', 100],
    ['-.5e1px', -5],
    ['auto', null],
    ['12furlongs', null],
    ['', null],
  ])('%s is %s px', (text, px) => {
    const length = parseLength(text, context);
    if (px === null) expect(length).toBeNull();
    else expect(length).toBeCloseTo(px);
  });

  it('reads lists with commas, spaces and both', () => {
    expect(parseLengths('1, 2 3,4', context)).toEqual([1, 2, 3, 4]);
  });

  it('clamps shares', () => {
    expect([parseShare('150%'), parseShare('-1'), parseShare('.25'), parseShare('x', 0)]).toEqual([
      1, 0, 0.25, 0,
    ]);
  });
});

describe('transforms', () => {
  it('reads every function of SVG', () => {
    expect(parseTransform('translate(10 20)')).toEqual([1, 0, 0, 1, 10, 20]);
    expect(parseTransform('scale(2)')).toEqual([2, 0, 0, 2, 0, 0]);
    expect(parseTransform('matrix(1,2,3,4,5,6)')).toEqual([1, 2, 3, 4, 5, 6]);
    expect(parseTransform('skewX(45)')![2]).toBeCloseTo(1);
  });

  it('turns about a point', () => {
    const about = multiply(multiply(translation(5, 5), rotation(90)), translation(-5, -5));
    parseTransform('rotate(90 5 5)')!.forEach((value, at) => expect(value).toBeCloseTo(about[at]!));
  });

  it('applies a list from right to left', () => {
    expect(parseTransform('translate(10,0) scale(2)')).toEqual([2, 0, 0, 2, 10, 0]);
  });

  it('refuses a list with an unknown function as a whole', () => {
    expect(parseTransform('translate(1) wobble(2)')).toBeNull();
    expect(parseTransform('scale(x)')).toBeNull();
  });
});

describe('viewports', () => {
  const viewBox = { x: 0, y: 0, width: 10, height: 20 };
  const viewport = { x: 0, y: 0, width: 100, height: 100 };

  // SVG 2, §8.6: meet takes the smaller scale and puts the rest around, slice the larger and cuts.
  it('fits the whole viewBox in', () => {
    expect(fitViewBox(viewBox, viewport).matrix).toEqual([5, 0, 0, 5, 25, 0]);
    expect(fitViewBox(viewBox, viewport, 'xMinYMin meet').matrix).toEqual([5, 0, 0, 5, 0, 0]);
  });

  it('covers the viewport', () => {
    const fit = fitViewBox(viewBox, viewport, 'xMidYMax slice');
    expect(fit).toEqual({ matrix: [10, 0, 0, 10, 0, -100], cut: true });
  });

  it('stretches when nothing is to be kept', () => {
    expect(fitViewBox(viewBox, viewport, 'none').matrix).toEqual([10, 0, 0, 5, 0, 0]);
  });

  it('refuses a viewBox without area', () => {
    expect(parseViewBox('0 0 0 10')).toBeNull();
    expect(parseViewBox('0 0 10')).toBeNull();
    expect(parseViewBox('0,0,10,20')).toEqual(viewBox);
  });
});

describe('colours', () => {
  // CSS Color 4, §6.1 and §7.1.
  it.each([
    ['rebeccapurple', { r: 102, g: 51, b: 153, alpha: 1 }],
    ['#f0a', { r: 255, g: 0, b: 170, alpha: 1 }],
    ['#11223380', { r: 17, g: 34, b: 51, alpha: 128 / 255 }],
    ['rgb(10, 20, 30)', { r: 10, g: 20, b: 30, alpha: 1 }],
    ['rgb(10 20 30 / 50%)', { r: 10, g: 20, b: 30, alpha: 0.5 }],
    ['hsl(120, 100%, 25%)', { r: 0, g: 128, b: 0, alpha: 1 }],
    ['transparent', { r: 0, g: 0, b: 0, alpha: 0 }],
  ])('%s', (text, colour) => {
    const parsed = parseColour(text)!;
    expect({ ...parsed, alpha: Math.round(parsed.alpha * 1000) }).toEqual({
      ...colour,
      alpha: Math.round(colour.alpha * 1000),
    });
  });

  it('recognises none', () => {
    expect(parseColour('url(#x)')).toBeNull();
    expect(parseColour('gray-ish')).toBeNull();
  });
});

describe('shorthands', () => {
  it('takes a font apart', () => {
    expect(Object.fromEntries(expandShorthand('font', 'italic 700 18px/1.4 "Aleo", serif'))).toEqual({
      'font-style': 'italic',
      'font-stretch': 'normal',
      'font-variant': 'normal',
      'font-weight': '700',
      'font-size': '18px',
      'font-family': '"Aleo", serif',
    });
  });

  it('leaves longhands alone', () => {
    expect(expandShorthand('fill', 'red')).toEqual([]);
  });

  it('splits families, also quoted ones with commas', () => {
    expect(parseFamilies(`"Fira, Sans", 'Red Hat Mono' , serif`)).toEqual([
      'Fira, Sans',
      'Red Hat Mono',
      'serif',
    ]);
  });
});

describe('data addresses (RFC 2397)', () => {
  it('decodes base64 and percent escapes', () => {
    expect(new TextDecoder().decode(readDataUri('data:text/plain;base64,aGk=')!.bytes)).toBe('hi');
    expect(readDataUri('data:image/svg+xml;charset=utf-8,%3Csvg/%3E')).toMatchObject({
      type: 'image/svg+xml',
    });
  });

  it('refuses other schemes and malformed ones', () => {
    expect(readDataUri('https://example.test/a.png')).toBeNull();
    expect(readDataUri('data:image/png;base64,@@@')).toBeNull();
  });
});

describe('how deep a style sheet nests (CSS Syntax 3, §4: blocks, brackets and functions)', () => {
  it.each([
    ['a{fill:red}', 0, true],
    ['a{fill:red}', 1, false],
    ['@media all{a:not(b[c]){fill:red}}', 2, true],
    ['@media all{a:not(b[c]){fill:red}}', 3, false],
    ['a{content:"{{{{{{{{{{"}/*((((((((((*/', 1, false],
    ['a{fill:red}'.repeat(9), 1, false],
    ['}}}}}}a{fill:var(--b)}', 1, true],
  ])('%s nests deeper than %d: %p', (text, limit, deeper) => {
    expect(nestsDeeper(text, limit)).toBe(deeper);
  });
});
