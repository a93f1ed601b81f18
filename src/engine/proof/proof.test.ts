import { buildRecord } from '../../core/buildRecord';
import { idAt } from '../../../tests/support/ids';
import { mkdtemp, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import type { Browser } from 'playwright-core';
import { buildInto } from '../../../tests/support/build';
import { readText } from '../../../tests/support/mockups';
import { launchChromium } from './chromium';
import { comparePictures } from './compare';
import { pullProof } from './proof';
import { pullSvg } from './pull';

function picture(
  width: number,
  height: number,
  patch: { width: number; height: number } | null,
): Promise<Buffer> {
  const ground = sharp({ create: { width, height, channels: 3, background: '#fff' } });
  const black = patch && { create: { ...patch, channels: 3 as const, background: '#000' } };
  return (black ? ground.composite([{ input: black, left: 10, top: 20 }]) : ground).png().toBuffer();
}

describe('comparing two pictures', () => {
  it('counts the share of differing pixels, overall and inside a box', async () => {
    const compared = await comparePictures(
      await picture(100, 50, { width: 20, height: 10 }),
      await picture(100, 50, null),
    );
    expect(compared.differing).toBeCloseTo(200 / 5000, 6);
    expect(compared.within({ x: 10, y: 20, width: 20, height: 10 })).toBe(1);
    expect(compared.within({ x: 0, y: 20, width: 20, height: 10 })).toBe(0.5);
    expect(compared.within({ x: 60, y: 0, width: 20, height: 10 })).toBe(0);
    expect(compared.within({ x: 300, y: 0, width: 20, height: 10 })).toBe(0);
    expect(compared.index).toBeLessThan(0.99);
  });

  it('finds a picture equal to itself', async () => {
    const one = await picture(64, 64, { width: 8, height: 8 });
    expect(await comparePictures(one, one)).toMatchObject({ differing: 0, index: 1 });
  });
});

describe('proofs', () => {
  let browser: Browser;
  beforeAll(async () => {
    browser = await launchChromium();
  });
  afterAll(() => browser.close());

  const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="200" height="100"><rect width="200" height="100" fill="#eef"/>
    <rect id="deck" x="20" y="20" width="60" height="30" rx="6" fill="#246"/></svg>`;
  const svg = new TextEncoder().encode(SVG);

  it('compare the page with the mockup, and name the layers that differ', async () => {
    const folder = await mkdtemp(path.join(tmpdir(), 'orden-proof-test-'));
    const record = buildRecord(await buildInto(folder, readText(SVG), 'nested'));
    const sheet = { svg, width: 200, height: 100 };
    const [proof] = await pullProof({ browser, record, folder, sheet });
    expect(proof).toMatchObject({ name: 'test', differing: 0, worst: [] });
    expect(proof?.index).toBeCloseTo(1, 4);

    const moved = new TextEncoder().encode(SVG.replace('x="20" y="20"', 'x="30" y="20"'));
    const [off] = await pullProof({ browser, record, folder, sheet: { ...sheet, svg: moved } });
    expect(off?.differing).toBeGreaterThan(0.01);
    expect(off?.worst.map(({ layer }) => layer)).toContain(idAt('/deck'));
  });

  it('list what is seen and not on the page, and nothing that the mockup hides', async () => {
    const folder = await mkdtemp(path.join(tmpdir(), 'orden-proof-test-'));
    const rope = '<rect id="rope [-]" x="120" y="60" width="40" height="20" fill="#222"/>';
    const over = `<g id="over [-]" display="none">${rope.replace('rope [-]', 'line')}</g>`;
    const text = SVG.replace('</svg>', `${rope}${over}</svg>`);
    const record = buildRecord(await buildInto(folder, readText(text), 'nested'));
    const sheet = { svg: new TextEncoder().encode(text), width: 200, height: 100 };
    const [proof] = await pullProof({ browser, record, folder, sheet });
    expect(proof?.worst.filter(({ isAside }) => isAside).map(({ path }) => path)).toEqual(['/rope']);
  });

  it('say what is shifted, in another colour, or cut off, however pale it is', async () => {
    const folder = await mkdtemp(path.join(tmpdir(), 'orden-proof-test-'));
    const pale = SVG.replace('fill="#246"', 'fill="#eef0ff"').replace(
      '</svg>',
      '<text id="sign" x="20" y="80" font-family="Commissioner" font-size="12">Mind the gap of the pier</text></svg>',
    );
    const record = buildRecord(await buildInto(folder, readText(pale), 'nested'));
    const sheet = { svg: new TextEncoder().encode(pale), width: 200, height: 100 };
    const [right] = await pullProof({ browser, record, folder, sheet });
    expect(right!.shift!.figure).toBeLessThan(0.1);
    expect(right!.cut).toEqual([]);

    const page = path.join(folder, record.screens[0]!.file);
    const html = await readFile(page, 'utf8');
    await writeFile(
      page,
      html.replace(
        '</head>',
        '<style>.deck{margin-left:17px;background:#ffe0e0!important}.sign{width:40px!important;overflow:hidden}</style></head>',
      ),
    );
    const [wrong] = await pullProof({ browser, record, folder, sheet });
    expect(wrong!.shift).toMatchObject({ layer: idAt('/deck'), title: 'deck', figure: 17 });
    expect(wrong!.colour).toMatchObject({ layer: idAt('/deck') });
    expect(wrong!.cut).toMatchObject([{ layer: idAt('/sign') }]);
  });

  it('run no script of the mockup', async () => {
    const evil = SVG.replace('</svg>', '<script>document.documentElement.remove()</script></svg>');
    const size = { width: 200, height: 100 };
    const shots = [evil, SVG].map((text) =>
      pullSvg(browser, new TextEncoder().encode(text), size, { x: 0, y: 0, ...size }),
    );
    const [one, other] = await Promise.all(shots);
    expect((await comparePictures(one!, other!)).differing).toBe(0);
  });
});
