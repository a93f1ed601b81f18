import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import type { Browser } from '@playwright/test';
import { launchChromium } from './support/chromium';
import { readBytes } from './support/mockups';
import { BackComparer } from './support/writtenBack';

/**
 * Checks that reading loses nothing: each reading is written back as an SVG and compared with the original in
 * Chromium. The files come from registries' packages, see corpus/README.md.
 */
const CORPUS = path.resolve('tests/corpus');
const CASES = path.resolve('tests/cases');
const MINUTES = 60_000;

interface Compared {
  readonly name: string;
  readonly differing: number;
  readonly codes: readonly string[];
}

let browser: Browser;
beforeAll(async () => {
  browser = await launchChromium();
});
afterAll(() => browser.close());

async function compareAll(files: readonly string[]): Promise<Compared[]> {
  const comparer = await BackComparer.open(browser);
  const compared: Compared[] = [];
  for (const file of files) {
    const bytes = readFileSync(file);
    const reading = readBytes(bytes, path.basename(file));
    const differing = await comparer.compare(bytes[0] === 0x1f ? gunzipSync(bytes) : bytes, reading);
    const codes = reading.findings.map(({ code }) => code);
    compared.push({ name: path.relative('tests', file), differing, codes });
  }
  await comparer.close();
  return compared;
}

it(
  'of files from elsewhere, 95% differ in at most 0.1% of their pixels, and those over 1% say why',
  async () => {
    const files = [
      ...readdirSync(CORPUS, { recursive: true, encoding: 'utf8' })
        .filter((name) => name.endsWith('.svgz'))
        .map((name) => path.join(CORPUS, name)),
      ...readdirSync(CASES)
        .filter((name) => name.endsWith('.svg'))
        .map((name) => path.join(CASES, name)),
    ];
    expect(files.length).toBeGreaterThan(150);
    // Two pages, so that Chromium draws while the next file is read.
    const halves = [0, 1].map((half) => files.filter((_, at) => at % 2 === half));
    const compared = (await Promise.all(halves.map(compareAll))).flat();
    const good = compared.filter(({ differing }) => differing <= 0.001);
    const silent = compared.filter(({ differing, codes }) => differing > 0.01 && codes.length === 0);
    expect(silent).toEqual([]);
    expect(good.length / compared.length).toBeGreaterThanOrEqual(0.95);
  },
  10 * MINUTES,
);
