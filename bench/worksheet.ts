import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { launchChromium } from '../tests/support/chromium';
import { EMPTY_TABLE } from './emptyTable';
import { benchMockup } from './mockups';
import { textTable } from './table';

/**
 * How fast the worksheet is in headless Chromium with 5,000 layers: `tsx bench/worksheet.ts [ADDRESS]` against a
 * running Orden; `npm run bench` starts one. The floor is an empty virtual table that answers the same keys. On a virtual
 * machine others may take the processor for a while: what was not disturbed like that is counted by itself, too.
 */
const address = process.argv[2] ?? 'http://127.0.0.1:3000';
const ROUNDS = 40;
const OPENINGS = 7;
const GRID = '[role="treegrid"]';
/** Where they are in the worksheet. */
const BAR = 1;
const CARD = 3;

const before = stolenSeconds();
const browser = await launchChromium();
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const mockupAddress = await shelve(page);

const openings: Timing[] = [];
for (let round = 0; round < OPENINGS; round++) {
  const opening = await timing(() =>
    timed(async () => {
      await page.goto(mockupAddress);
      await page.getByRole('row').nth(5).waitFor();
    }),
  );
  openings.push(opening);
  await page.waitForTimeout(1500);
}
await page.waitForTimeout(4000);

const rows: [string, readonly Timing[], readonly Timing[] | null][] = [['opening', openings, null]];
// The first edits, while siblings still share the tag.
const CODE = '[aria-label="CSS code"], [aria-label="HTML code"]';
await page.getByRole('button', { name: 'nested', exact: true }).click();
await page.waitForTimeout(4000);
await choose(BAR);
const codeOfOne = await edits(CODE);
await choose(CARD);
const code = await edits(CODE);
const shown = page.getByLabel('What the mockup shows');
await shown.selectOption('page');
await page.waitForTimeout(4000);
await page.getByRole('treegrid').focus();
const livePage = await edits('iframe');
await choose(BAR);
const livePageOfOne = await edits('iframe');
await page.getByRole('button', { name: 'flow', exact: true }).click();
await page.waitForTimeout(4000);
await page.getByRole('treegrid').focus();
const flowOfOne = await edits('iframe');
await choose(CARD);
const flow = await edits('iframe');
await shown.selectOption('screen');
await choose(CARD);
const arrow = await keys('ArrowDown', () => '');
const change = await alternately(['-', 'aside'], ['p', 'picture']);
await page.keyboard.press('Control+a');
const bulk = await alternately(['-', 'aside'], ['e', 'element']);
const blanks = await blankFrames();
await page.setContent(EMPTY_TABLE);
rows.push(['arrow to painted cursor', arrow, await keys('ArrowDown', () => '')]);
rows.push(['key to painted change', change, await alternately(['-', 'aside'], ['p', 'picture'])]);
rows.push(['key to painted change of all rows', bulk, null]);
rows.push(['key to changed code, one layer', codeOfOne, null]);
rows.push(['key to changed code, 625 alike', code, null]);
rows.push(['key to changed live page, one layer', livePageOfOne, null]);
rows.push(['key to changed live page, what is seen of 625 alike', livePage, null]);
rows.push(['the same in flow, one layer', flowOfOne, null]);
rows.push(['the same in flow, what is seen of 625 alike', flow, null]);
console.log(
  textTable(
    [
      'in the worksheet of 5,000 layers',
      'median, ms',
      '95th percentile',
      'longest',
      'undisturbed',
      'their median',
      '95th percentile',
      'longest',
      'floor, ms',
      'floor, 95th',
    ],
    rows.map(([name, timings, floor]) => {
      const calm = timings.filter(({ stolen }) => stolen === 0);
      return [
        name,
        ...[0.5, 0.95, 1].map((share) => at(timings, share)),
        `${calm.length} of ${timings.length}`,
        ...[0.5, 0.95, 1].map((share) => at(calm, share)),
        floor ? at(floor, 0.5) : '',
        floor ? at(floor, 0.95) : '',
      ];
    }),
  ),
);
console.log(`Processor time that other machines took meanwhile: ${(stolenSeconds() - before).toFixed(1)} s`);
console.log(`Frames with a blank row while scrolling: ${blanks.blank} of ${blanks.all}`);
await browser.close();

async function choose(row: number): Promise<void> {
  await page.getByRole('row').nth(row).getByRole('gridcell').first().click();
}

interface Timing {
  readonly ms: number;
  /** Seconds that other machines took meanwhile. */
  readonly stolen: number;
}

/** What was timed, and how far others disturbed it. */
async function timing(time: () => Promise<number>): Promise<Timing> {
  const earlier = stolenSeconds();
  const ms = await time();
  return { ms, stolen: stolenSeconds() - earlier };
}

/** Seconds for which a virtual machine was ready to work and its host did something else (`man 5 proc`, `steal`). */
function stolenSeconds(): number {
  const [, ...times] = readFileSync('/proc/stat', 'utf8').split('\n')[0]!.split(/\s+/);
  return Number(times[7] ?? 0) / 100;
}

async function shelve(on: Page): Promise<string> {
  await on.goto(address);
  const buffer = Buffer.from(benchMockup(5000));
  await on.getByLabel('Mockup file').setInputFiles({ name: 'bench.svg', mimeType: 'image/svg+xml', buffer });
  await on.waitForURL(/\/readings\//, { timeout: 60_000 });
  await on.getByRole('button', { name: 'Create project' }).click();
  await on.waitForURL(/\/sort$/, { timeout: 60_000 });
  return on.url();
}

/** Scrolls a screenful every few frames; counts the frames in which a place that should hold a row is empty. */
function blankFrames(): Promise<{ readonly blank: number; readonly all: number }> {
  return page.evaluate(async (selector) => {
    const grid = document.querySelector<HTMLElement>(selector)!;
    const { left, top, width, height } = grid.getBoundingClientRect();
    let [blank, all] = [0, 0];
    for (let frame = 0; frame < 120; frame++) {
      grid.scrollTop = (frame * 60) % Math.max(1, grid.scrollHeight - grid.clientHeight);
      await new Promise((resolve) => requestAnimationFrame(resolve));
      all += 1;
      const isBlank = [0.2, 0.5, 0.9].some(
        (share) =>
          !document
            .elementFromPoint(left + width / 2, top + 30 + (height - 40) * share)
            ?.closest('[role="row"]'),
      );
      if (isBlank) blank += 1;
    }
    return { blank, all };
  }, GRID);
}

async function timed(work: () => Promise<void>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/**
 * Presses a key several times; measures from the event to the frame after the active cell shows the expected
 * text.
 */
async function keys(key: string, expected: (round: number) => string): Promise<Timing[]> {
  const timings: Timing[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    timings.push(await timing(() => keyToPaint(key, expected(round))));
    await page.waitForTimeout(150);
  }
  return timings;
}

async function alternately(...pairs: readonly (readonly [string, string])[]): Promise<Timing[]> {
  const timings: Timing[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const [key, expected] = pairs[round % pairs.length]!;
    timings.push(await timing(() => keyToPaint(key, expected)));
    await page.waitForTimeout(400);
  }
  return timings;
}

/** Toggles the layer between element and aside; measures until the watched part of the page changes. */
async function edits(watched: string): Promise<Timing[]> {
  const timings: Timing[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    timings.push(await timing(() => keyToChange(round % 2 === 0 ? '-' : 'e', watched)));
    // Off-screen parts change later, and would count for the next edit.
    await page.waitForTimeout(1500);
  }
  return timings;
}

function keyToChange(key: string, watched: string): Promise<number> {
  return page.evaluate(
    ([selector, pressed, shown]) =>
      new Promise<number>((resolve) => {
        const start = performance.now();
        setTimeout(() => resolve(performance.now() - start), 5000);
        const observer = new MutationObserver(() => {
          observer.disconnect();
          resolve(performance.now() - start);
        });
        for (const element of document.querySelectorAll(shown!)) {
          const target = element instanceof HTMLIFrameElement ? element.contentDocument!.body : element;
          observer.observe(target, { subtree: true, childList: true, attributes: true, characterData: true });
        }
        document
          .querySelector(selector!)!
          .dispatchEvent(new KeyboardEvent('keydown', { key: pressed!, bubbles: true, cancelable: true }));
      }),
    [GRID, key, watched],
  );
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

/** The percentile by the nearest rank (NIST/SEMATECH e-Handbook of Statistical Methods, §7.2.6.2, from memory). */
function at(timings: readonly Timing[], share: number): string {
  const sorted = timings.map(({ ms }) => ms).sort((one, other) => one - other);
  return sorted[Math.ceil(sorted.length * share) - 1]?.toFixed(0) ?? '';
}
