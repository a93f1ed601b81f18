import { execFile } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import sharp from 'sharp';
import { buildRecord } from '../../src/core/buildRecord';
import type { Box } from '../../src/core/mockup/box';
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
async function built(
  { name, read }: (typeof MOCKUPS)[number],
  arrangement: Arrangement,
  mark: string = arrangement,
) {
  const reading = read();
  const { mockup, assets, book } = reading;
  const options = { arrangement, target: 'qml' } as const;
  const product = await produce({ mockup, assets, tags: new Map(), options, book, readFindings: [] });
  const folder = path.join(root, `${name}-${mark}`);
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

describe('QML, edited as developers do', () => {
  const harbour = MOCKUPS.find(({ name }) => name === 'harbour')!;
  const edits = [0];

  /** What another code draws, beside what was drawn before. @throws where the linter warns */
  async function edited(from: string | RegExp, to: string) {
    const { folder, product } = await built(harbour, 'flow', `edit-${edits.push(0)}`);
    const [screen] = product.conversion.emission.screens;
    const drawn = async () =>
      Buffer.from((await renderQml({ folder, screens: [screen!], language: 'en' })).files[0]!.bytes);
    const before = await drawn();
    const place = path.join(folder, screen!.file);
    const code = readFileSync(place, 'utf8');
    expect(code).toMatch(from);
    writeFileSync(place, code.replace(from, to));
    expect(await lint(folder)).toBe('');
    const { width, height } = screen!;
    const after = await resized(await drawn(), { width, height });
    const { differing, within } = await comparePictures(before, after);
    /** The share of what changed that lies in a box of the screen. */
    const inside = (box: Box) => (within(box) * box.width * box.height) / (differing * width * height);
    return { differing, inside };
  }

  it('has another caption by one word, which changes its bar alone', async () => {
    const { differing, inside } = await edited('"Book a crossing"', '"Book a boat"');
    expect(differing).toBeGreaterThan(0);
    // The header alone: its links move as the button gets narrower.
    expect(inside({ x: 0, y: 0, width: 1280, height: 72 })).toBeCloseTo(1, 2);
  });

  it('has a further item by a further row of its model, beneath the others', async () => {
    const row =
      /(\n[ ]+ListElement \{(?:(?!ListElement)[^}])*"Oldness Quay"[^}]*\})(\n[ ]+\}\n[ ]+delegate: Sailing )/;
    const { differing, inside } = await edited(row, '$1$1$2');
    expect(differing).toBeGreaterThan(0);
    expect(inside({ x: 0, y: 690, width: 1280, height: 110 })).toBeGreaterThan(0.95);
  });

  it('fades a part by its opacity, with a motion', async () => {
    const { differing, inside } = await edited(
      /(Rectangle \{\n)([ ]+)(id: control\n)/,
      '$1$2$3$2opacity: 0.5\n$2Behavior on opacity {\n$2    NumberAnimation {}\n$2}\n',
    );
    expect(differing).toBeGreaterThan(0);
    expect(inside({ x: 1080, y: 18, width: 170, height: 44 })).toBeCloseTo(1, 2);
  });

  it('scrolls a part in an area around it', async () => {
    const use = /([ ]+)Repeater \{\n((?:(?!Repeater)[\s\S])*?delegate: Sailing \{\n[ ]+\}\n)[ ]+\}\n/;
    const { differing, inside } = await edited(
      use,
      [
        '$1Flickable {',
        '$1    Layout.fillWidth: true',
        '$1    Layout.preferredHeight: 120',
        '$1    clip: true',
        '$1    contentHeight: rows.implicitHeight',
        '$1    ColumnLayout {',
        '$1        id: rows',
        '$1        width: parent.width',
        '$1        spacing: 10',
        '$1        Repeater {',
        '$2$1        }',
        '$1    }',
        '$1}',
        '',
      ].join('\n'),
    );
    expect(differing).toBeGreaterThan(0);
    // The rows above are as they were; what is beneath moves up.
    expect(inside({ x: 0, y: 0, width: 1280, height: 560 })).toBeLessThan(0.02);
  });
});

/** A picture on a ground of another size, its top left corner kept. */
async function resized(picture: Buffer, { width, height }: Pick<Box, 'width' | 'height'>): Promise<Buffer> {
  const clear = { r: 255, g: 255, b: 255, alpha: 1 };
  const whole = sharp(picture).resize(width, height, {
    fit: 'cover',
    position: 'left top',
    withoutEnlargement: true,
  });
  const { info } = await whole.clone().png().toBuffer({ resolveWithObject: true });
  return whole
    .extend({
      right: Math.max(0, width - info.width),
      bottom: Math.max(0, height - info.height),
      background: clear,
    })
    .png()
    .toBuffer();
}
