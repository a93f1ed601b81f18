import { readFileSync } from 'node:fs';
import path from 'node:path';
import { buildInto } from './support/build';
import { inChromium } from './support/inChromium';
import { grow, offsets, openKeyed, sidewaysAt } from './support/flowPage';
import { PAGE_MOCKUPS, readCase } from './support/mockups';

/** Drawings, whose words stand among shapes: no pages, but they are built like any. */
const DRAWINGS = [
  'badge-plastic.svgz',
  'doc-postgres-gin.svgz',
  'flag-mx.svgz',
  'oc-buttons.svgz',
  'oc-dartboard-use.svg',
  'oc-monitor.svgz',
  'qt-bubbles.svgz',
  'w3c-filters-composite-02-b.svgz',
  'w3c-masking-path-03-b.svgz',
  'w3c-pservers-grad-09-b.svg',
  'w3c-styling-css-04-f.svg',
  'w3c-text-align-01-b.svgz',
];

/** Pages in the flow, laid out by Chromium. */
const here = inChromium();

const MOCKUPS = [
  ...PAGE_MOCKUPS,
  { name: 'nine screens', read: () => readCase('big-5k.svgz') },
  ...DRAWINGS.map((name) => ({ name, read: () => readCase(name) })),
];

describe.each(MOCKUPS)('$name', ({ name, read }) => {
  it('stands where the mockup has it, holds longer words, and fits narrower and wider windows', async () => {
    const out = path.join(here.folder, name);
    const conversion = await buildInto(out, read(), 'flow');
    for (const [at, { width, file }] of conversion.emission.screens.entries()) {
      const page = await openKeyed(here.browser, out, conversion, at);
      // The source map counts elements as they are printed: a browser must add none, as it would to a table.
      const printed = readFileSync(path.join(out, file), 'utf8').match(/<[a-z]/g)?.length;
      expect(await page.evaluate(() => document.querySelectorAll('*').length)).toBe(printed);
      const off = await offsets(page, conversion, at);
      const within = (most: number) => off.filter((each) => each <= most).length / Math.max(1, off.length);
      // Words of a font that is missing here are as wide as another font has them, and move what stands behind them.
      const [near, close] = conversion.sheet.standIns ? [0.3, 0.45] : [0.9, 0.95];
      expect(within(1.02)).toBeGreaterThanOrEqual(near);
      expect(within(2.02)).toBeGreaterThanOrEqual(close);

      for (const share of [0.85, 0.93, 1.07, 1.15])
        expect(await sidewaysAt(page, Math.round(width * share))).toBeLessThanOrEqual(0);

      await page.setViewportSize({ width: Math.ceil(width), height: 800 });
      // The words of a button stay on its line: a full row of them, or of labels on whole px, has no room for longer ones.
      const { overlaps, cut } = await grow(page);
      expect([...overlaps, ...cut].length).toBeLessThanOrEqual(2);
      await page.close();
    }
  });
});
