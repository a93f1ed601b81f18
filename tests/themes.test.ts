import { mkdtemp } from 'node:fs/promises';
import { readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Browser } from 'playwright-core';
import { buildRecord } from '../src/core/buildRecord';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { produce } from '../src/engine/produce';
import { launchChromium } from '../src/engine/proof/chromium';
import { proofSheet, pullProof } from '../src/engine/proof/proof';
import { proofName } from '../src/core/proofName';
import { themedSheets } from '../src/engine/proof/themedSheets';
import { readMockup } from '../src/engine/readMockup';
import { writeFiles } from '../src/engine/writeFiles';
import { convertReading, emitted, readInside } from './support/mockups';

const THEMES = ['fair', 'fog', 'night'];

describe('themes', () => {
  let browser: Browser;
  beforeAll(async () => {
    browser = await launchChromium();
  });
  afterAll(() => browser.close());

  it.each(['nested', 'flow'] as const)('re-skin a %s page by one class on the root', async (arrangement) => {
    const bytes = new Uint8Array(readFileSync('demo/wheelhouse.svg'));
    const reading = await readMockup(bytes, 'wheelhouse.svg', { book: createFontBook() });
    const { mockup, assets, book, findings } = reading;
    const tags = new Map();
    const options = { arrangement, target: 'html', themes: THEMES } as const;
    const { files, conversion } = await produce({
      mockup,
      assets,
      tags,
      options,
      book,
      readFindings: findings,
    });
    const folder = await mkdtemp(path.join(tmpdir(), 'orden-themes-'));
    await writeFiles(folder, files);
    const [sheet] = mockup.screens;
    const proofs = await pullProof({
      browser,
      record: buildRecord(conversion),
      folder,
      sheet: proofSheet(bytes, sheet!),
      // The mockup in the looks of its samples, drawn by another part of Orden.
      themed: themedSheets(mockup, assets, tags, THEMES),
    });
    expect(proofs.map(proofName)).toEqual([
      'wheelhouse',
      ...THEMES.map((theme) => `wheelhouse, theme ${theme}`),
    ]);
    // Without a theme the page has the looks of its samples, and the mockup those that were drawn.
    for (const { theme, differing } of proofs) if (theme) expect(differing).toBeLessThan(0.001);
  });
});

const MOCKUP = `<g data-name="Looks [style]"><rect id="plate" x="500" width="9" height="9" fill="#fff"/><text id="sign" x="500" y="9" fill="#222">a</text>
  <g data-name=".fog"><rect id="plate" x="500" y="20" width="9" height="9" fill="#ddd"/><text id="sign" x="500" y="29" fill="#bbb">a</text></g></g>
  <g id="card"><rect width="90" height="40" data-tags=".plate"/><text x="9" y="20" font-size="14" data-tags=".sign">Tide</text></g>`;

describe('a theme', () => {
  const reading = readInside(MOCKUP);
  const sheetOf = (themes: readonly string[]) =>
    convertReading(reading, 'nested', new Map(), { themes }).emission.files.find(
      ({ path: file }) => file === 'styles.css',
    )!.text;

  it('is a list of values, and is written only when it is asked for', () => {
    expect(sheetOf([])).not.toContain('--');
    const sheet = sheetOf(['fog']);
    expect(sheet).toMatch(/:root\.fog \{\n {2}--[\w-]+: #ddd;\n {2}--[\w-]+: #bbb;\n\}/);
    expect(sheet).toMatch(/background: var\(--[\w-]+\);/);
    expect(sheetOf(['rain'])).toBe(sheetOf([]));
  });

  it('is shown by itself on systems of its scheme, unless the root has the class of another', async () => {
    const browser = await launchChromium();
    const page = await browser.newPage();
    const conversion = convertReading(reading, 'nested', new Map(), {
      themes: ['fog'],
      schemes: { dark: 'fog' },
    });
    const [html, css] = ['index.html', 'styles.css'].map((file) => emitted(conversion, file));
    await page.setContent(html!.replace(/<link[^>]*>/, () => `<style>${css}</style>`));
    const ground = () => page.locator('.card').evaluate((card) => getComputedStyle(card).backgroundColor);
    expect(await ground()).toBe('rgb(255, 255, 255)');
    await page.emulateMedia({ colorScheme: 'dark' });
    expect(await ground()).toBe('rgb(221, 221, 221)');
    await browser.close();
  });

  it('has a finding where its letters are hard to read', () => {
    const { findings } = convertReading(reading, 'nested', new Map(), { themes: ['fog'] });
    // By the formula of WCAG 2.2 (relative luminance): #bbb on #ddd, (0.7230 + 0.05) / (0.4969 + 0.05).
    expect(findings.filter(({ code }) => code === 'contrast-low').map(({ data }) => data)).toEqual([
      { theme: 'fog', ratio: '1.4' },
    ]);
  });
});
