import type { Browser } from '@playwright/test';
import { strToU8, zipSync } from 'fflate';
import sharp, { type Blend } from 'sharp';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { readMockup } from '../src/engine/readMockup';
import { launchChromium } from './support/chromium';
import { BackComparer } from './support/writtenBack';

/** What an OpenRaster file shows, drawn by Chromium, against libvips composing the same layers. */
const [WIDTH, HEIGHT] = [120, 80];
let browser: Browser;
let comparer: BackComparer;
beforeAll(async () => {
  browser = await launchChromium();
  comparer = await BackComparer.open(browser);
});
afterAll(async () => {
  await comparer.close();
  await browser.close();
});

/** A gradient of many colours; `alpha` goes from left to right. */
function layer(from: string, to: string, alpha: readonly [number, number]): Promise<Buffer> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><linearGradient id="g" y2="1"><stop stop-color="${from}" stop-opacity="${alpha[0]}"/><stop offset="1" stop-color="${to}" stop-opacity="${alpha[1]}"/></linearGradient><rect width="100%" height="100%" fill="url(#g)"/></svg>`;
  return sharp(Buffer.from(svg)).png().toBuffer();
}

// Source: OpenRaster 0.0.5, "Layers stack" names the operators, W3C Compositing 1 defines them, libvips has its own code for them.
// It blends half-clear pixels in ways of its own, so only the operators of coverage have such.
const CLEAR = [0.2, 0.9] as const;
const OPAQUE = [1, 1] as const;
it.each<[string, Blend, readonly [number, number]]>([
  ['svg:src-over', 'over', CLEAR],
  ['svg:multiply', 'multiply', OPAQUE],
  ['svg:screen', 'screen', OPAQUE],
  ['svg:overlay', 'overlay', OPAQUE],
  ['svg:darken', 'darken', OPAQUE],
  ['svg:lighten', 'lighten', OPAQUE],
  ['svg:color-dodge', 'colour-dodge', OPAQUE],
  ['svg:color-burn', 'colour-burn', OPAQUE],
  ['svg:hard-light', 'hard-light', OPAQUE],
  ['svg:soft-light', 'soft-light', OPAQUE],
  ['svg:difference', 'difference', OPAQUE],
  ['svg:dst-in', 'dest-in', CLEAR],
  ['svg:dst-out', 'dest-out', CLEAR],
  ['svg:src-atop', 'atop', CLEAR],
  ['svg:dst-atop', 'dest-atop', CLEAR],
])('%s looks as libvips draws %s', async (operator, blend, alpha) => {
  const [below, above] = [
    await layer('#104080', '#f0c040', [1, 1]),
    await layer('#e03020', '#20a0c0', alpha),
  ];
  const stack = `<layer name="above" src="data/above.png" composite-op="${operator}"/><layer name="below" src="data/below.png"/>`;
  const bytes = zipSync({
    mimetype: [strToU8('image/openraster'), { level: 0 }],
    'stack.xml': strToU8(`<image version="0.0.5" w="${WIDTH}" h="${HEIGHT}"><stack>${stack}</stack></image>`),
    'data/above.png': above,
    'data/below.png': below,
  });
  const reading = await readMockup(bytes, 'stack.ora', { book: createFontBook() });
  const composed = await sharp(below)
    .composite([{ input: above, blend }])
    .png()
    .toBuffer();
  const shown = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"><image width="${WIDTH}" height="${HEIGHT}" href="data:image/png;base64,${composed.toString('base64')}"/></svg>`;
  expect(await comparer.compare(Buffer.from(shown), reading)).toBeLessThan(0.001);
});
