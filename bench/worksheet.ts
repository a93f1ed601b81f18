import type { Page } from '@playwright/test';
import { launchChromium } from '../tests/support/chromium';
import { benchMockup } from './mockups';
import { textTable } from './table';

/**
 * How fast the worksheet is in headless Chromium with 5,000 layers: `tsx bench/worksheet.ts [ADDRESS]` against a
 * running Orden. The floor is the same page answering a key with nothing to do.
 */
const address = process.argv[2] ?? 'http://127.0.0.1:3000';
const ROUNDS = 20;
const GRID = '[role="treegrid"]';

const browser = await launchChromium();
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const mockupAddress = await shelve(page);

const opening = await timed(async () => {
  await page.goto(mockupAddress);
  await page.getByRole('row').nth(5).waitFor();
});
await page.waitForTimeout(4000);
await page.getByRole('row').nth(2).getByRole('gridcell').first().click();

const rows: [string, readonly number[]][] = [
  ['opening', [opening]],
  ['floor: a key with nothing to do', await keys('F13', () => '')],
  ['arrow to painted cursor', await keys('ArrowDown', () => '')],
  ['key to painted change', await alternately(['-', 'aside'], ['p', 'picture'])],
];
await page.keyboard.press('Control+a');
rows.push(['key to painted change of all rows', await alternately(['-', 'aside'], ['e', 'element'])]);
console.log(
  textTable(
    ['in the worksheet of 5,000 layers', 'median, ms', '95th percentile, ms'],
    rows.map(([name, times]) => [name, at(times, 0.5), at(times, 0.95)]),
  ),
);
await browser.close();

async function shelve(on: Page): Promise<string> {
  await on.goto(address);
  const buffer = Buffer.from(benchMockup(5000));
  await on.getByLabel('Mockup file').setInputFiles({ name: 'bench.svg', mimeType: 'image/svg+xml', buffer });
  await on.waitForURL(/\/readings\//, { timeout: 60_000 });
  await on.getByRole('button', { name: 'Put it on the shelf' }).click();
  await on.waitForURL(/\/sort$/, { timeout: 60_000 });
  return on.url();
}

async function timed(work: () => Promise<void>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** Presses a key often; the time from the event to the frame after the active cell says what is expected. */
async function keys(key: string, expected: (round: number) => string): Promise<number[]> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    times.push(await keyToPaint(key, expected(round)));
    await page.waitForTimeout(150);
  }
  return times;
}

async function alternately(...pairs: readonly (readonly [string, string])[]): Promise<number[]> {
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const [key, expected] = pairs[round % pairs.length]!;
    times.push(await keyToPaint(key, expected));
    await page.waitForTimeout(1200);
  }
  return times;
}

function keyToPaint(key: string, expected: string): Promise<number> {
  return page.evaluate(
    async ([selector, pressed, text]) => {
      const grid = document.querySelector(selector!)!;
      const start = performance.now();
      grid.dispatchEvent(new KeyboardEvent('keydown', { key: pressed!, bubbles: true, cancelable: true }));
      for (;;) {
        await new Promise((resolve) => requestAnimationFrame(resolve));
        const cell = document.getElementById(grid.getAttribute('aria-activedescendant') ?? '');
        const passed = performance.now() - start;
        if (cell?.textContent?.startsWith(text!) || passed > 5000) return passed;
      }
    },
    [GRID, key, expected],
  );
}

function at(times: readonly number[], share: number): string {
  const sorted = times.toSorted((one, other) => one - other);
  return (sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0).toFixed(0);
}
