import path from 'node:path';
import { buildInto } from './support/build';
import { inChromium } from './support/inChromium';
import { readText } from './support/mockups';

/** Scroll areas, tried in Chromium: everything that they hold can be reached. */
const here = inChromium();

const line = (at: number) => `<text x="40" y="${100 + at * 30}">Line ${at}</text>`;
const chip = (at: number) =>
  `<g><rect x="${20 + at * 110}" y="300" width="100" height="30" rx="15" fill="#eee"/><text x="${40 + at * 110}" y="320">Chip ${at}</text></g>`;
const cell = (at: number) =>
  `<rect x="${220 + (at % 4) * 60}" y="${80 + Math.floor(at / 4) * 60}" width="50" height="50" fill="#9bd"/>`;
const range = (count: number) => Array.from({ length: count }, (_, at) => at);

const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="400" font-family="DejaVu Sans" font-size="14">
  <clipPath id="log"><rect x="40" y="80" width="140" height="100"/></clipPath>
  <clipPath id="map"><rect x="220" y="80" width="140" height="140"/></clipPath>
  <rect data-name="ground" width="400" height="400" fill="#fff"/>
  <g data-name="Log [data-scroll=y]"><g clip-path="url(#log)">${range(7).map(line).join('')}</g></g>
  <g data-name="Chart [data-scroll=both]" clip-path="url(#map)">${range(16).map(cell).join('')}</g>
  <g data-name="Chips [data-scroll=x]">${range(6).map(chip).join('')}</g>
</svg>`;

/** Runs inside Chromium: how far each scroll area scrolls when one scrolls it as far as it goes, px. */
function scrolled(): Record<string, readonly number[]> {
  const areas = [...document.querySelectorAll<HTMLElement>('.screen *')].filter((element) =>
    /auto/.test(getComputedStyle(element).overflow),
  );
  return Object.fromEntries(
    areas.map((area) => {
      area.scrollTo(1000, 1000);
      return [area.className.split(' ')[0], [Math.round(area.scrollLeft), Math.round(area.scrollTop)]];
    }),
  );
}

it.each(['fixed', 'nested', 'flow'] as const)(
  '%s: areas scroll where they are said to',
  async (arrangement) => {
    const out = path.join(here.folder, arrangement);
    await buildInto(out, readText(SVG), arrangement);
    const page = await here.browser.newPage({ viewport: { width: 400, height: 400 } });
    await page.goto(`file://${out}/index.html`);
    const { log, chart, chips } = await page.evaluate(scrolled);
    // Seven lines of 30 px in 100 px, four cells of 60 px in 140 px, six chips of 110 px from 20 px in 400 px.
    expect(log![0]).toBe(0);
    expect(Math.abs(log![1]! - 104)).toBeLessThanOrEqual(4);
    expect(chart).toEqual([90, 90]);
    expect(chips).toEqual([270, 0]);
    await page.close();
  },
);
