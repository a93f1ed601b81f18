import { mkdir, mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Browser } from 'playwright-core';
import sharp from 'sharp';
import { launchChromium } from './chromium';
import { pullPage } from './pull';

const SIZE = { width: 40, height: 20 };
const colour = (background: string) =>
  sharp({ create: { ...SIZE, channels: 3, background } })
    .png()
    .toBuffer();

describe('the picture of a built page', () => {
  let browser: Browser;
  let root: string;
  beforeAll(async () => {
    browser = await launchChromium();
    root = await mkdtemp(path.join(tmpdir(), 'orden-pull-'));
    await mkdir(path.join(root, 'page', 'pictures'), { recursive: true });
    await writeFile(path.join(root, 'secret.png'), await colour('#f00'));
    await writeFile(path.join(root, 'page', 'pictures', 'deck 1.png'), await colour('#0f0'));
  });
  afterAll(() => browser.close());

  /** The colour that a page with this picture as its backdrop shows. */
  async function shown(address: string): Promise<readonly number[]> {
    const html = `<!doctype html><style>body{background:url("${address}")}</style>`;
    await writeFile(path.join(root, 'page', 'index.html'), html);
    const { picture } = await pullPage(browser, path.join(root, 'page'), 'index.html', SIZE);
    const { data } = await sharp(picture).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    return [...data.subarray(0, 3)];
  }

  it('has the files of its folder', async () => {
    expect(await shown('pictures/deck%201.png')).toEqual([0, 255, 0]);
  });

  it.each(['the file of the disk', 'a path upwards', 'an encoded path upwards', 'another host'] as const)(
    'has nothing from %s',
    async (what) => {
      const address = {
        'the file of the disk': pathToFileURL(path.join(root, 'secret.png')).href,
        'a path upwards': '../secret.png',
        'an encoded path upwards': '%2e%2e%2fsecret.png',
        'another host': 'http://127.0.0.1:9/secret.png',
      }[what];
      expect(await shown(address)).toEqual([255, 255, 255]);
    },
  );
});
