import type { Browser, Page } from '@playwright/test';
import fc from 'fast-check';
import type { ShapeLayer, TextLayer } from '../src/core/mockup/layer';
import { measureScreen } from '../src/core/mockup/bounds';
import { applyTo, multiply, type Matrix } from '../src/core/mockup/matrix';
import { pathData } from '../src/core/mockup/outline';
import type { Paint } from '../src/core/mockup/paint';
import { layersOf } from '../src/core/mockup/walk';
import type { Reading } from '../src/core/read/reading';
import { launchChromium } from './support/chromium';
import { layerNamed, readText } from './support/mockups';

/** Compares lengths, gradients, style sheets and letters with Chromium's DOM of the same file. */
let browser: Browser;
let page: Page;
beforeAll(async () => {
  browser = await launchChromium();
  page = await browser.newPage();
});
afterAll(() => browser.close());

const svgOf = (content: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="300" viewBox="0 0 200 150">${content}</svg>`;

async function show(svg: string): Promise<void> {
  // A document of its own: inside HTML, more selectors would match.
  await page.goto(`data:image/svg+xml,${encodeURIComponent(svg)}`);
}

describe('path lengths, against getTotalLength', () => {
  it.each([
    '<path id="pier" d="M10 10C40 -20 60 60 90 10S120 40 130 20t5 5q1 9 9 3"/>',
    '<path id="pier" d="m10 50 5 5a25 15 -30 1 0 50 10A10 10 0 0 1 80 50h9v-7zl3 3"/>',
    '<path id="pier" d="M10 10L20 20 30 10 x 90 90"/>',
    '<polygon id="pier" points="10,10 90,20 50,80"/>',
    '<rect id="pier" x="5" y="5" width="60" height="40" rx="9" ry="30"/>',
    '<ellipse id="pier" cx="60" cy="50" rx="40" ry="12"/>',
  ])('%s', async (element) => {
    const svg = svgOf(element);
    const { outline } = layerNamed(readText(svg), 'pier') as ShapeLayer;
    await show(svg);
    const [theirs, ours] = await page.evaluate((d) => {
      const path = document.createElementNS('http://www.w3.org/2000/svg', 'path');
      path.setAttribute('d', d);
      const shape = document.getElementById('pier') as unknown as SVGGeometryElement;
      return [shape.getTotalLength(), path.getTotalLength()];
    }, pathData(outline));
    // Chromium flattens ellipses and arcs differently, a few thousandths apart.
    expect(Math.abs(ours! - theirs!)).toBeLessThan(theirs! * 5e-3);
  });
});

describe('gradient geometry, against SVGLength and DOMMatrix', () => {
  it.each([
    ['in the box', ''],
    ['turned in the box', 'gradientTransform="rotate(30 .5 .5) scale(.5 2)"'],
    ['in user space', 'gradientUnits="userSpaceOnUse"'],
    ['turned in user space', 'gradientUnits="userSpaceOnUse" gradientTransform="translate(5 9) skewX(20)"'],
  ])('%s', async (_, attributes) => {
    const svg =
      svgOf(`<linearGradient id="base" x1="10%" y1=".2" x2="75%" y2="20%"><stop stop-color="red"/><stop offset="1"/></linearGradient>
      <linearGradient id="g" href="#base" x1="10%" y1=".2" x2="75%" y2="20%" ${attributes}/>
      <rect id="pier" x="20" y="10" width="80" height="40" fill="url(#g)"/>`);
    const paint = (layerNamed(readText(svg), 'pier') as ShapeLayer).fill as Extract<
      Paint,
      { kind: 'linear' }
    >;
    await show(svg);
    // SVG 2, §14.1.1: coordinates of the box or of user space, through the gradient's own transform.
    const expected = await page.evaluate(() => {
      const gradient = document.getElementById('g') as unknown as SVGLinearGradientElement;
      const box = (document.getElementById('pier') as unknown as SVGGraphicsElement).getBBox();
      const own = new DOMMatrix(getComputedStyle(gradient).transform);
      const inBox = gradient.getAttribute('gradientUnits') === null;
      const toUser = inBox ? new DOMMatrix([box.width, 0, 0, box.height, box.x, box.y]) : new DOMMatrix();
      const length = (value: SVGLength) =>
        inBox && value.unitType === 2 ? value.valueInSpecifiedUnits / 100 : value.value;
      const { x1, y1, x2, y2 } = gradient;
      return [
        [x1, y1],
        [x2, y2],
      ].map(([x, y]) => {
        const point = toUser.multiply(own).transformPoint({ x: length(x!.baseVal), y: length(y!.baseVal) });
        return [point.x, point.y];
      });
    });
    const ends = [
      applyTo(paint.transform, { x: paint.x1, y: paint.y1 }),
      applyTo(paint.transform, { x: paint.x2, y: paint.y2 }),
    ];
    ends.forEach(({ x, y }, at) => {
      expect(x).toBeCloseTo(expected[at]![0]!, 3);
      expect(y).toBeCloseTo(expected[at]![1]!, 3);
    });
  });
});

describe('style sheets, against getComputedStyle', () => {
  const compound = fc.constantFrom(
    'rect',
    'g',
    '.a',
    '.b',
    '#one',
    '#deep',
    '[data-k]',
    '[data-k="v"]',
    '*',
    ':nth-child(2n)',
    ':first-child',
    ':last-child',
    ':not(.a)',
    'rect.b',
    'g > .a',
    ':nth-of-type(2)',
  );
  const selector = fc
    .tuple(compound, fc.constantFrom(' ', ' > ', ' + ', ' ~ ', ''), compound)
    .map(([one, between, other]) => (between === '' ? one : one + between + other));
  const value = fc.constantFrom(
    '#102030',
    'rgb(9 8 7)',
    'hsl(120 50% 40%)',
    'currentColor',
    'inherit',
    'initial',
    'unset',
    'var(--k)',
    'var(--none, #abcdef)',
    'teal',
  );
  const declaration = fc
    .tuple(fc.constantFrom('fill', 'stroke', 'color', '--k'), value, fc.boolean())
    .filter(([property, text]) => property !== '--k' || text.startsWith('#'))
    .map(([property, text, strong]) => `${property}:${text}${strong ? ' !important' : ''}`);
  const rule = fc
    .tuple(selector, fc.array(declaration, { minLength: 1, maxLength: 3 }))
    .map(([where, what]) => `${where}{${what.join(';')}}`);
  const media = fc.tuple(fc.constantFrom('@media screen', '@media print', '@supports (fill:red)'), rule);
  const sheet = fc.array(
    fc.oneof(
      rule,
      rule,
      media.map(([at, inside]) => (at.startsWith('@supports') ? inside : `${at}{${inside}}`)),
    ),
    { maxLength: 8 },
  );

  it('random ones give every shape the same colours', async () => {
    const body = `<g id="one" class="a" data-k="v" fill="#111"><rect id="north" class="b" width="9" height="9"/><rect id="east" class="a b" data-k="x" width="9" height="9" style="stroke:#0f0"/><g class="b" color="#333"><rect id="deep" stroke="currentColor" width="9" height="9"/><rect id="west" class="a" fill="blue" width="9" height="9"/></g></g><rect id="south" class="b" data-k="v" width="9" height="9"/>`;
    const names = ['north', 'east', 'deep', 'west', 'south'];
    await fc.assert(
      fc.asyncProperty(sheet, async (rules) => {
        const svg = svgOf(`<style>${rules.join('\n').replaceAll('>', '&gt;')}</style>${body}`);
        await show(svg);
        const theirs = await page.evaluate(
          (ids) =>
            ids.map((id) => {
              const { fill, stroke } = getComputedStyle(document.getElementById(id)!);
              return [fill, stroke];
            }),
          names,
        );
        const reading = readText(svg);
        expect(names.map((name) => coloursOf(reading, name))).toEqual(theirs);
      }),
      { numRuns: 80 },
    );
  }, 120_000);
});

/** Fill and stroke of the shape with that id, as `getComputedStyle` writes them. */
function coloursOf(reading: Reading, name: string): string[] {
  const shape = layersOf(reading.mockup).find(({ path }) => path.endsWith(`/${name}`)) as ShapeLayer;
  return [shape.fill, shape.stroke?.paint ?? null].map((paint) => {
    if (paint?.kind !== 'solid') return 'none';
    const { r, g, b } = paint.colour;
    return `rgb(${r}, ${g}, ${b})`;
  });
}

describe('letters, against getStartPositionOfChar', () => {
  const FONT = 'font-family="DejaVu Sans" font-size="12"';
  it.each([
    [
      'a lowered and a raised run',
      `<text ${FONT} x="20" y="40">H<tspan baseline-shift="sub">2</tspan>O<tspan baseline-shift="30%">x</tspan></text>`,
    ],
    [
      'spaced letters and words',
      `<text ${FONT} x="20" y="40" letter-spacing="2" word-spacing="5">two words here</text>`,
    ],
    ['a set length', `<text ${FONT} x="100" y="40" text-anchor="middle" textLength="90">tide table</text>`],
    ['lists of places', `<text ${FONT} x="10 30 50" y="40 45" dx="1 2 3 4" dy="0 0 -3">abcdefg</text>`],
    [
      'nested runs',
      `<text ${FONT} x="20" y="40">one <tspan dx="5" font-size="16">two <tspan dy="4" font-weight="bold">three</tspan></tspan> four</text>`,
    ],
    ['spaces that are kept', `<text ${FONT} x="20" y="40" xml:space="preserve">a   b  c</text>`],
    ['spaces that are not', `<text ${FONT} x="20" y="40">  a \n  b  <tspan> c</tspan> </text>`],
    [
      'an anchor at the end',
      `<text ${FONT} x="180" y="40" text-anchor="end">arrives <tspan font-weight="bold">14:05</tspan></text>`,
    ],
    ['letters from the right', `<text ${FONT} x="180" y="40" direction="rtl">שלום עולם</text>`],
  ])('%s', async (_, text) => {
    const svg = svgOf(text);
    const reading = readText(svg);
    await show(svg);
    const theirs = await page.evaluate(() => {
      const content = document.querySelector('text')!;
      return Array.from({ length: content.getNumberOfChars() }, (_, at) => {
        const { x, width } = content.getExtentOfChar(at);
        return { y: content.getStartPositionOfChar(at).y, left: x, right: x + width };
      }).filter(({ left, right }) => right > left);
    });
    const layers = layersOf(reading.mockup).filter((layer): layer is TextLayer => layer.kind === 'text');
    const measures = measureScreen(reading.mockup.screens[0]!, reading.mockup.faces);
    const runs = layers.flatMap((layer) => runsOf(layer, toUser(measures.get(layer.id)!.matrix)));
    // Every run starts where Chromium has an edge of one of its letters, and all together are as wide.
    for (const { left, y } of runs) {
      const off = theirs.map((one) =>
        Math.hypot(one.y - y, Math.min(Math.abs(one.left - left), Math.abs(one.right - left))),
      );
      expect(Math.min(...off)).toBeLessThan(0.35);
    }
    expect(Math.abs(leftmost(runs) - leftmost(theirs))).toBeLessThan(0.5);
    // Chromium counts the gap after the last letter where `letter-spacing` makes it, not where `textLength` does.
    expect(Math.abs(rightmost(runs) - rightmost(theirs))).toBeLessThan(2.5);
  });

  it.each(['hanging', 'middle', 'central', 'text-before-edge', 'text-after-edge'])(
    '%s moves the baseline alike',
    async (baseline) => {
      const text = (how: string) =>
        svgOf(`<text ${FONT} x="20" y="40" dominant-baseline="${how}">pier</text>`);
      const top = async (how: string) => {
        await show(text(how));
        return page.evaluate(() => document.querySelector('text')!.getExtentOfChar(0).y);
      };
      const ours = (how: string) => {
        const [layer] = layersOf(readText(text(how)).mockup);
        return (layer as TextLayer).lines[0]!.baseline;
      };
      const theirs = (await top(baseline)) - (await top('alphabetic'));
      expect(Math.abs(ours(baseline) - ours('alphabetic') - theirs)).toBeLessThan(0.6);
    },
  );
});

const leftmost = (runs: readonly { readonly left: number }[]) => Math.min(...runs.map(({ left }) => left));
const rightmost = (runs: readonly { readonly right: number }[]) =>
  Math.max(...runs.map(({ right }) => right));

/** From px of the screen, which is drawn at twice its viewBox, to the user space of the file. */
function toUser(matrix: Matrix): Matrix {
  return multiply([0.5, 0, 0, 0.5, 0, 0], matrix);
}

/** Where runs begin on their baseline and end, the gap after their last letter left out, in user space. */
function runsOf(layer: TextLayer, matrix: Matrix) {
  return layer.lines.flatMap((line) => {
    let pen = line.x;
    return (layer.rightToLeft ? line.runs.toReversed() : line.runs).map((run) => {
      const { x: left, y } = applyTo(matrix, { x: pen, y: line.baseline - run.baselineShift });
      pen += run.width * line.stretch;
      return { left, y, right: applyTo(matrix, { x: pen - run.style.letterSpacing, y: 0 }).x };
    });
  });
}
