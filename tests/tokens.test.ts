import type { Page } from 'playwright-core';
import type { TargetSettings } from '../src/core/emit/targetOptions';
import { inChromium } from './support/inChromium';
import { convertReading, emitted, PAGE_MOCKUPS, readDemo } from './support/mockups';

describe('custom properties for values that are used again', () => {
  const here = inChromium();

  it.each([{ name: 'the demo', read: () => readDemo() }, ...PAGE_MOCKUPS])(
    'leave every element of $name with its computed style',
    async ({ read }) => {
      const reading = read();
      const page = await here.browser.newPage({ viewport: { width: 1280, height: 800 } });
      for (const arrangement of ['nested', 'flow'] as const) {
        const styles = async (settings: TargetSettings) => {
          const conversion = convertReading(reading, arrangement, new Map(), { settings });
          return computedStyles(page, emitted(conversion, 'index.html'), emitted(conversion, 'styles.css'));
        };
        const plain = await styles({ values: 'plain' });
        expect(plain.length).toBeGreaterThan(10);
        expect(await styles({ values: 'named' })).toEqual(plain);
      }
      await page.close();
    },
  );
});

/** The computed style of every element, as one text each. */
async function computedStyles(page: Page, html: string, css: string): Promise<readonly string[]> {
  await page.setContent(html.replace(/<link rel="stylesheet"[^>]*>/, () => `<style>${css}</style>`));
  return page.evaluate(() =>
    [...document.body.querySelectorAll('*')].map((element) => {
      const style = getComputedStyle(element);
      return [...style]
        .filter((property) => !property.startsWith('--'))
        .map((property) => `${property}: ${style.getPropertyValue(property)}`)
        .join('; ');
    }),
  );
}
