import path from 'node:path';
import { windowFigures } from './support/windowFigures';
import { buildInto } from './support/build';
import { openKeyed } from './support/flowPage';
import { inChromium } from './support/inChromium';
import { PAGE_MOCKUPS } from './support/mockups';

/**
 * Every window from one mockup: pages of desktop width that were drawn once, shown by Chromium in the windows of phones,
 * tablets and small screens. The bars are shares of all texts of all pages, and numbers of pages.
 */
const WIDTHS = [375, 768, 1024] as const;
const MOST_BAD = { 375: 0.04, 768: 0.015, 1024: 0.006 } as const;
const MOST_SIDEWAYS = { 375: 2, 768: 1, 1024: 0 } as const;

const here = inChromium();

it('pages of desktop width stand in every window, with few texts cut off or over others', async () => {
  const sums = Object.fromEntries(WIDTHS.map((width) => [width, { texts: 0, bad: 0, sideways: 0 }]));
  for (const { name, read } of PAGE_MOCKUPS) {
    const out = path.join(here.folder, name);
    const conversion = await buildInto(out, read(), 'flow');
    if ((conversion.emission.screens[0]?.width ?? 0) < 1000) continue;
    const page = await openKeyed(here.browser, out, conversion, 0);
    for (const width of WIDTHS) {
      const { texts, problems, sideways } = await windowFigures(page, width);
      const sum = sums[width]!;
      sum.texts += texts;
      sum.bad += problems.length;
      sum.sideways += sideways > 1 ? 1 : 0;
    }
    await page.close();
  }
  for (const width of WIDTHS) {
    const { texts, bad, sideways } = sums[width]!;
    expect(bad / texts).toBeLessThanOrEqual(MOST_BAD[width]);
    expect(sideways).toBeLessThanOrEqual(MOST_SIDEWAYS[width]);
  }
});
