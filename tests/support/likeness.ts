import { pathToFileURL } from 'node:url';
import type { Browser } from 'playwright-core';
import { comparePictures } from '../../src/engine/proof/compare';
import { screenshot } from '../../src/engine/proof/screenshot';

export interface Likeness {
  /** Share of differing pixels, 0–1 (pixelmatch, threshold 0.1, antialiased pixels counted as it does by default). */
  readonly differing: number;
  /** The picture of the difference, PNG. */
  readonly difference: Buffer;
}

/** Renders two files in the same Chromium at the same size and compares them; `origin`: where the first one's part begins. */
export async function compareFiles(
  browser: Browser,
  one: string,
  other: string,
  width: number,
  height: number,
  origin = { x: 0, y: 0 },
): Promise<Likeness> {
  const [first, second] = [
    await shoot(browser, one, width, height, origin),
    await shoot(browser, other, width, height),
  ];
  const { differing, picture } = await comparePictures(first, second);
  return { differing, difference: picture };
}

export async function shoot(
  browser: Browser,
  file: string,
  width: number,
  height: number,
  { x, y } = { x: 0, y: 0 },
): Promise<Buffer> {
  const page = await browser.newPage({ viewport: { width: width + x, height: height + y } });
  try {
    await page.goto(pathToFileURL(file).href);
    await page.evaluate(() => document.fonts.ready);
    await page.evaluate(() => {
      const root = document.documentElement;
      if (!(root instanceof SVGSVGElement)) return;
      root.pauseAnimations();
      root.setCurrentTime(0);
    });
    return await screenshot(page, { x, y, width, height });
  } finally {
    await page.close();
  }
}
