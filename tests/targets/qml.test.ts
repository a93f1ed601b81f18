import { execFile } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import { buildRecord } from '../../src/core/buildRecord';
import type { Arrangement } from '../../src/core/page/frame';
import { comparePictures } from '../../src/engine/proof/compare';
import { renderQml } from '../../src/engine/render/qml';
import { proofSheet, pullProof } from '../../src/engine/proof/proof';
import { produce } from '../../src/engine/produce';
import { writeFiles } from '../../src/engine/writeFiles';
import { sheetSvg } from '../../src/engine/sheetSvg';
import { inChromium } from '../support/inChromium';
import { PAGE_MOCKUPS, readCase } from '../support/mockups';

/** QML against what is outside of the project: Qt's own linter, and Qt Quick, which draws it (Qt 6). */

const QT = '/usr/lib/qt6/bin';
const run = promisify(execFile);

/** Pages that need much: tables, cards, fields, gradients, photos, stretched letters. */
const PAGES = [
  'harbour',
  'wheelhouse',
  'bs5-pricing.svg',
  'gentelella-widgets.svgz',
  'tabler-store.svgz',
  'win98-gallery.svgz',
];

const MOCKUPS = [
  ...PAGE_MOCKUPS.filter(({ name }) => PAGES.includes(name)),
  ...['a02-states', 'a04-text', 'a07-cards', 'a17-slots'].map((name) => ({
    name,
    read: () => readCase(`drawn/${name}.svg`),
  })),
];

/** The share of px that may differ in a page whose parts stand at their coordinates. Letters are set by another system. */
const MOST_DIFFERING = 0.04;

const root = mkdtempSync(path.join(tmpdir(), 'orden-qml-'));
afterAll(() => rmSync(root, { recursive: true }));

/** A build in a folder. */
async function built({ name, read }: (typeof MOCKUPS)[number], arrangement: Arrangement) {
  const reading = read();
  const { mockup, assets, book } = reading;
  const options = { arrangement, target: 'qml' } as const;
  const product = await produce({ mockup, assets, tags: new Map(), options, book, readFindings: [] });
  const folder = path.join(root, `${name}-${arrangement}`);
  await writeFiles(folder, product.files);
  return { folder, product, reading };
}

/** What Qt's linter says of the files in a folder. */
async function lint(folder: string): Promise<string> {
  const files = readdirSync(folder).filter((file) => file.endsWith('.qml'));
  const { stdout, stderr } = await run(
    `${QT}/qmllint`,
    ['--import', 'info', ...files.map((file) => path.join(folder, file))],
    // It fails where it warns.
  ).catch((error: { stdout: string; stderr: string }) => error);
  return `${stdout}${stderr}`
    .split('\n')
    .filter((line) => /^(?:Warning|Error|.*Expected token)/.test(line))
    .join('\n');
}

const linesOf = (text: string) => text.split('\n').filter((line) => line.trim() !== '');

describe('QML', () => {
  const here = inChromium();

  it.each(MOCKUPS)('of $name is accepted by the linter and drawn by Qt Quick', async (mockup) => {
    for (const arrangement of ['nested', 'flow'] as const) {
      const { folder, product, reading } = await built(mockup, arrangement);
      expect(await lint(folder)).toBe('');
      expect(product.findings.filter(({ code }) => code === 'not-shown')).toEqual([]);
      if (arrangement === 'flow') continue;
      const [sheet] = reading.mockup.screens;
      const [proof] = await pullProof({
        browser: here.browser,
        record: buildRecord(product.conversion),
        folder,
        sheet: proofSheet(new TextEncoder().encode(sheetSvg(reading)), sheet!),
      });
      expect(proof!.differing).toBeLessThan(MOST_DIFFERING);
    }
  });

  it('shows the looks of states', async () => {
    const states = MOCKUPS.find(({ name }) => name === 'a02-states')!;
    const { folder, product } = await built(states, 'nested');
    const [screen] = product.conversion.emission.screens;
    const place = path.join(folder, screen!.file);
    const drawn = async () =>
      (await renderQml({ folder, screens: [screen!], language: 'en' })).files[0]!.bytes;
    const rest = Buffer.from(await drawn());
    const code = readFileSync(place, 'utf8');
    expect(code).toMatch(/when: \w+\.hovered/);
    writeFileSync(place, code.replace(/when: \w+\.hovered/g, 'when: true'));
    const { differing } = await comparePictures(rest, Buffer.from(await drawn()));
    expect(differing).toBeGreaterThan(0.001);
  });

  it('is written as its formatter writes it', async () => {
    const { folder } = await built(MOCKUPS[0]!, 'flow');
    for (const file of readdirSync(folder).filter((each) => each.endsWith('.qml'))) {
      const place = path.join(folder, file);
      const { stdout } = await run(`${QT}/qmlformat`, [place]);
      // The formatter takes some empty lines away and adds none.
      expect(linesOf(readFileSync(place, 'utf8'))).toEqual(linesOf(stdout));
    }
  });
});
