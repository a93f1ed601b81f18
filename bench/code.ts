import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { buildRecord } from '../src/core/buildRecord';
import { read } from '../src/core/read/read';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { produce } from '../src/engine/produce';
import { launchChromium } from '../src/engine/proof/chromium';
import { proofSheet, pullProof } from '../src/engine/proof/proof';
import { sheetSvg } from '../src/engine/sheetSvg';
import { writeFiles } from '../src/engine/writeFiles';
import { offsets, openKeyed } from '../tests/support/flowPage';
import { windowFigures } from '../tests/support/windowFigures';
import { axeFigures } from './code/accessibility';
import { codeFigures } from './code/pageFigures';
import { pageFiles } from './pages';
import { textTable } from './table';

/**
 * `npm run code`: the code that flow gives for pages that were drawn as mockups, in figures: `tsx bench/code.ts [FOLDER or
 * FILE …]` takes other mockups.
 */
const files = pageFiles(process.argv.slice(2));
const WIDTHS = [375, 768, 1024] as const;

const browser = await launchChromium();
const rows = [];
for (const file of files) {
  const reading = read(new Uint8Array(readFileSync(file)), path.basename(file), createFontBook());
  const { mockup, assets, findings, book } = reading;
  const options = { arrangement: 'flow', target: 'html' } as const;
  const product = await produce({ mockup, assets, tags: new Map(), options, book, readFindings: findings });
  const folder = mkdtempSync(path.join(os.tmpdir(), 'orden-code-'));
  await writeFiles(folder, product.files);
  const { conversion } = product;
  const css = conversion.emission.files
    .filter(({ path: name }) => name.endsWith('.css'))
    .map(({ text }) => text)
    .join('\n');
  const page = await openKeyed(browser, folder, conversion, 0);
  await page.evaluate('globalThis.__name = (each) => each');
  const off = await offsets(page, conversion, 0);
  const code = await codeFigures(page, css);
  const [screen] = conversion.emission.screens;
  const axe = await axeFigures(page);
  const windows = [];
  for (const width of WIDTHS) windows.push(await windowFigures(page, width));
  await page.close();
  const [proof] = await pullProof({
    browser,
    record: buildRecord(conversion),
    folder,
    sheet: proofSheet(new TextEncoder().encode(sheetSvg(reading)), mockup.screens[0]!),
    themed: [],
  });
  rmSync(folder, { recursive: true });
  rows.push({
    name: path.basename(file).replace(/\.svgz?$/, ''),
    isDesktop: (screen?.width ?? 0) >= 1000,
    ...code,
    axe,
    windows,
    boxes: off.length,
    within1: off.filter((each) => each <= 1.02).length,
    within2: off.filter((each) => each <= 2.02).length,
    differing: proof?.differing ?? NaN,
  });
}
await browser.close();

type Row = (typeof rows)[number];
const percent = (part: number, of: number, digits = 0) =>
  of === 0 ? '–' : `${((100 * part) / of).toFixed(digits)}%`;
const line = (name: string, some: readonly Row[]) => {
  const sum = (of: (row: Row) => number) => some.reduce((all, row) => all + of(row), 0);
  const desktop = some.filter(({ isDesktop }) => isDesktop);
  const atWidth = (at: number) => {
    const texts = desktop.reduce((all, row) => all + row.windows[at]!.texts, 0);
    return percent(
      desktop.reduce((all, row) => all + row.windows[at]!.problems.length, 0),
      texts,
      1,
    );
  };
  return [
    name,
    String(sum((row) => row.elements)),
    percent(
      sum((row) => row.styled),
      sum((row) => row.elements),
    ),
    percent(
      sum((row) => row.fractions),
      sum((row) => row.px),
    ),
    String(sum((row) => row.corrections)),
    String(sum((row) => row.classes)),
    percent(
      sum((row) => row.once),
      sum((row) => row.classes),
    ),
    `${percent(
      sum((row) => row.unlike),
      sum((row) => row.siblings),
    )} ${percent(
      sum((row) => row.unrelated),
      sum((row) => row.siblings),
    )}`,
    `${(sum((row) => row.cssBytes) / 1000).toFixed(0)}`,
    WIDTHS.map((_, at) => atWidth(at)).join(' '),
    WIDTHS.map((_, at) => String(some.filter((row) => row.windows[at]!.sideways > 1).length)).join(' '),
    `${sum((row) => row.tables)} ${sum((row) => row.labelled)}/${sum((row) => row.fields)} ${some.filter((row) => row.mains === 1).length}`,
    String(sum((row) => row.absolute)),
    `${sum((row) => row.axe.grave)} ${sum((row) => row.axe.moderate)}`,
    `${percent(
      sum((row) => row.within1),
      sum((row) => row.boxes),
      1,
    )} ${percent(
      sum((row) => row.within2),
      sum((row) => row.boxes),
      1,
    )}`,
    some.length === 1
      ? `${(100 * some[0]!.differing).toFixed(2)}%`
      : percentiles(some.map(({ differing }) => differing)),
  ];
};
const percentiles = (values: readonly number[]) => {
  const sorted = values.toSorted((one, other) => one - other);
  const at = (share: number) =>
    `${(100 * (sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0)).toFixed(2)}`;
  return `${at(0.5)} / ${at(0.9)}%`;
};
console.log(
  textTable(
    [
      'page',
      'elements',
      'style=',
      'fraction',
      'corrections',
      'classes',
      'once',
      'unlike, unrelated',
      'CSS kB',
      `bad texts ${WIDTHS.join('/')}`,
      'sideways',
      'tables fields main',
      'absolute',
      'axe',
      'within 1, 2 px',
      'differing',
    ],
    [...rows.map((row) => line(row.name, [row])), line('together', rows)],
  ),
);
const broken = rows.flatMap(({ name, axe }) => axe.rules.map((rule) => `${name}: ${rule}`));
if (broken.length > 0) console.log(`\naxe, contrast apart:\n${broken.join('\n')}`);
