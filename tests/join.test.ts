import path from 'node:path';
import { produce } from '../src/engine/produce';
import { writeFiles } from '../src/engine/writeFiles';
import { inChromium } from './support/inChromium';
import { compareFiles } from './support/likeness';
import { readDemo } from './support/mockups';
import { cssMistakes, htmlMistakes } from './support/valid';

/** One page for two screens, in Chromium at both of their widths. */
const here = inChromium();

describe('the ticket page for two widths', () => {
  it('looks like each screen at its width, is valid, and holds in windows between them', async () => {
    const { mockup, assets, findings, book } = readDemo('ticket.svg');
    const options = { arrangement: 'flow', target: 'html', join: true } as const;
    const input = { mockup, assets, tags: new Map(), options, book, readFindings: findings };
    const { files, conversion } = await produce(input);
    await writeFiles(here.folder, files);
    expect(conversion.emission.files.map((file) => file.path)).toEqual(['index.html', 'styles.css']);
    for (const { text, path: name } of conversion.emission.files)
      expect(name.endsWith('.css') ? cssMistakes(text) : await htmlMistakes(text)).toEqual([]);

    const built = path.join(here.folder, 'index.html');
    for (const { name, width, height, origin } of conversion.mockup.screens) {
      const drawn = path.resolve('demo/ticket.svg');
      const { differing } = await compareFiles(here.browser, drawn, built, width, height, origin);
      expect([name, differing <= 0.005]).toEqual([name, true]);
    }

    const page = await here.browser.newPage();
    await page.goto(`file://${built}`);
    for (const width of [1100, 836, 835, 600, 340]) {
      await page.setViewportSize({ width, height: 800 });
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - innerWidth),
      ).toBeLessThanOrEqual(0);
      const isNarrow = width <= 835;
      expect(await page.getByRole('button', { name: 'Menu' }).isVisible()).toBe(isNarrow);
      expect(await page.getByRole('link', { name: 'Harbours' }).isVisible()).toBe(!isNarrow);
    }
    await page.close();
  });
});
