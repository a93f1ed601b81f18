import type { Browser, Page } from '@playwright/test';
import { measureScreen } from '../src/core/mockup/bounds';
import type { ShapeLayer, TextLayer } from '../src/core/mockup/layer';
import { applyTo } from '../src/core/mockup/matrix';
import { transformedBox } from '../src/core/mockup/outline';
import { layersOf } from '../src/core/mockup/walk';
import { launchChromium } from './support/chromium';
import { layerNamed, readText } from './support/mockups';

/** Compares readings with Chromium's DOM of the same file. */
let browser: Browser;
let page: Page;

beforeAll(async () => {
  browser = await launchChromium();
  page = await browser.newPage();
});
afterAll(() => browser.close());

const FONT = 'font-family="DejaVu Sans"';
const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="300" viewBox="0 0 200 150">
  <style>.warm { fill: rgb(200, 80, 40) } g > .warm:nth-child(2) { fill-opacity: .5; stroke: #123456 } #last { stroke-width: 3 }</style>
  <g id="outer" transform="translate(10 20) rotate(15) skewX(10)">
    <path id="cubic" d="M10 10C40 -20 60 60 90 10S120 40 130 20"/>
    <path id="arcs" class="warm" d="M10 50a25 15 -30 1 0 50 10A10 10 0 0 1 80 50q10 20 20 0t20 0z" transform="scale(1.2 .8)"/>
    <ellipse id="disc" cx="60" cy="80" rx="20" ry="9"/>
    <g transform="matrix(.5 .2 -.3 .7 40 20)"><rect id="last" class="warm" x="5" y="6" width="30" height="20" rx="4"/></g>
  </g>
  <svg id="inner" x="100" y="100" width="80" height="40" viewBox="0 0 20 20" preserveAspectRatio="xMaxYMid meet"><circle id="dot" cx="10" cy="10" r="9"/></svg>
  <text id="start" ${FONT} font-size="14" x="20" y="130">Afloat, Wave</text>
  <text id="middle" ${FONT} font-size="14" x="120" y="30" text-anchor="middle" letter-spacing="1">Middle</text>
  <text id="end" ${FONT} font-size="12" font-weight="bold" x="190" y="60"><tspan text-anchor="end">ignored anchor</tspan></text>
  <text id="moved" ${FONT} font-size="10" x="20 40" y="90" dx="0 2 3" dy="0 1">abcde</text>
</svg>`;
const reading = readText(SVG);
const measures = measureScreen(reading.mockup.screens[0]!, reading.mockup.faces);

/** Answers a question about an element of the same SVG inside Chromium. */
async function ask<T>(id: string, question: (element: SVGGraphicsElement) => T): Promise<T> {
  await page.setContent(`<!doctype html><body style="margin:0">${SVG}</body>`);
  return page.evaluate(
    ([source, name]) => {
      const element = document.getElementById(name!) as unknown as SVGGraphicsElement;
      // The question is a function of this very file, handed over as its source.
      return new Function('element', `return (${source})(element)`)(element) as T;
    },
    [question.toString(), id],
  );
}

describe('geometry, against getBBox and getScreenCTM', () => {
  it.each(['cubic', 'arcs', 'disc', 'last', 'dot'])('%s has the same box', async (id) => {
    const layer = layerNamed(reading, id) as ShapeLayer;
    const own = transformedBox(layer.outline, [1, 0, 0, 1, 0, 0])!;
    const box = await ask(id, (element) => {
      const { x, y, width, height } = element.getBBox();
      return [x, y, width, height];
    });
    // Chromium measures arcs by the curves that it draws them with, a hundredth of a px off.
    [own.x, own.y, own.width, own.height].forEach((value, at) =>
      expect(Math.abs(value - box[at]!)).toBeLessThan(0.02),
    );
  });

  it.each(['cubic', 'arcs', 'last', 'dot'])('%s stands at the same place', async (id) => {
    const { matrix } = measures.get(layerNamed(reading, id).id)!;
    const expected = await ask(id, (element) => {
      const { a, b, c, d, e, f } = element.getScreenCTM()!;
      return [a, b, c, d, e, f];
    });
    matrix.forEach((value, at) => expect(value).toBeCloseTo(expected[at]!, 3));
  });
});

describe('the cascade, against getComputedStyle', () => {
  it.each(['cubic', 'arcs', 'last'])('%s has the same paints', async (id) => {
    const layer = layerNamed(reading, id) as ShapeLayer;
    const expected = await ask(id, (element) => {
      const style = getComputedStyle(element);
      return [style.fill, style.fillOpacity, style.stroke, style.strokeWidth];
    });
    const fill = layer.fill?.kind === 'solid' ? layer.fill.colour : null;
    const stroke = layer.stroke?.paint.kind === 'solid' ? layer.stroke.paint.colour : null;
    const rgb = (colour: typeof fill) => (colour ? `rgb(${colour.r}, ${colour.g}, ${colour.b})` : 'none');
    expect([rgb(fill), String(fill?.alpha), rgb(stroke)]).toEqual(expected.slice(0, 3));
    if (layer.stroke) expect(`${layer.stroke.width}px`).toBe(expected[3]);
  });
});

describe('texts, against getStartPositionOfChar and getComputedTextLength', () => {
  it.each(['start', 'middle', 'end'])('%s starts at the same place and is as long', async (id) => {
    const line = (textNamed(id) as TextLayer).lines[0]!;
    const [x, y, length] = await ask(id, (element) => {
      const text = element as unknown as SVGTextContentElement;
      const { x: left, y: baseline } = text.getStartPositionOfChar(0);
      return [left, baseline, text.getComputedTextLength()];
    });
    expect(line.x).toBeCloseTo(x!, 1);
    expect(line.baseline).toBeCloseTo(y!, 3);
    expect(Math.abs(line.width - length!)).toBeLessThan(length! * 0.01);
  });

  it('places moved letters alike', async () => {
    const positions = await ask('moved', (element) => {
      const text = element as unknown as SVGTextContentElement;
      return [0, 1, 2].map((at) => {
        const { x, y } = text.getStartPositionOfChar(at);
        return [x, y];
      });
    });
    const lines = textNamed('moved').lines;
    positions.forEach(([x, y], at) => {
      expect(Math.abs(lines[at]!.x - x!)).toBeLessThan(0.15);
      expect(lines[at]!.baseline).toBeCloseTo(y!, 3);
    });
  });
});

function textNamed(id: string): TextLayer {
  return layersOf(reading.mockup).find(
    (layer) => layer.kind === 'text' && layer.sourceName === id,
  ) as TextLayer;
}

describe('transforms, against DOMMatrix', () => {
  it('moves points alike', async () => {
    const { matrix } = measures.get(layerNamed(reading, 'last').id)!;
    const there = await page.evaluate(
      (list) => {
        const { x, y } = new DOMMatrix(list).transformPoint({ x: 3, y: 4 });
        return { x, y };
      },
      [...matrix],
    );
    expect(applyTo(matrix, { x: 3, y: 4 }).x).toBeCloseTo(there.x, 6);
    expect(applyTo(matrix, { x: 3, y: 4 }).y).toBeCloseTo(there.y, 6);
  });
});
