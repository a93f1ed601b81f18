import { readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { buildInto } from './support/build';
import { inChromium } from './support/inChromium';
import { comparePictures } from '../src/engine/proof/compare';
import { compareFiles, shoot } from './support/likeness';
import { ARRANGEMENTS } from '../src/core/page/frame';
import { casePath, DEMO, readCase, readDemo, readText } from './support/mockups';

/** The built page in Chromium against the mockup in the same Chromium. */
const here = inChromium();

/** Browsers open compressed files from a server only. */
async function drawable(file: string): Promise<string> {
  if (!file.endsWith('.svgz')) return file;
  const plain = path.join(here.folder, path.basename(file, 'z'));
  await writeFile(plain, gunzipSync(await readFile(file)));
  return plain;
}

const MOCKUPS = [
  { name: 'harbour', file: DEMO, reading: () => readDemo(), most: 0.001 },
  {
    name: 'wheelhouse',
    file: path.resolve('demo/wheelhouse.svg'),
    reading: () => readDemo('wheelhouse.svg'),
    most: 0.001,
  },
  {
    name: 'bs5-pricing',
    file: casePath('bs5-pricing.svg'),
    reading: () => readCase('bs5-pricing.svg'),
    most: 0.002,
  },
  ...(
    [
      // A screen of a fraction of a px, hairlines, baselines close to half a px: all as Chromium draws them.
      ['oc-monitor.svgz', 0.001],
      ['w3c-filters-composite-02-b.svgz', 0.001],
      ['raw-bs5-pricing.svgz', 0.002],
      // Boxes and strokes between two px, of a fraction of a px, and half transparent.
      ['w3c-styling-css-04-f.svg', 0.001],
      ['w3c-masking-path-03-b.svgz', 0.001],
      ['doc-postgres-gin.svgz', 0.002],
      ['oc-buttons.svgz', 0.0025],
      ['oc-dartboard-use.svg', 0.001],
      // It moves: both are seen at rest.
      ['qt-bubbles.svgz', 0.001],
      ['badge-plastic.svgz', 0.001],
      ['flag-mx.svgz', 0.001],
      ['w3c-pservers-grad-09-b.svg', 0.001],
      ['w3c-text-align-01-b.svgz', 0.001],
    ] as const
  ).map(([name, most]) => ({ name, file: casePath(name), reading: () => readCase(name), most })),
] as const;

describe('an OpenRaster mockup', () => {
  it('looks like the merged picture that its own program saved', async () => {
    // Source: `mergedimage.png` of OpenRaster, §"Merged image": how the file looks.
    const out = path.join(here.folder, 'ora');
    await buildInto(out, readCase('mobile-dashboard.ora'), 'nested');
    const merged = casePath('mobile-dashboard.merged.png');
    const frame = path.join(out, 'merged.html');
    await writeFile(frame, `<body style="margin:0"><img src="file://${merged}" style="display:block">`);
    const { differing } = await compareFiles(here.browser, frame, path.join(out, 'index.html'), 390, 844);
    expect(differing).toBeLessThanOrEqual(0.001);
  });
});

describe('strokes along whole px, with content inside', () => {
  const inside = (x: number) => `<rect x="${x + 12}" y="22" width="30" height="9" fill="#c40"/>`;
  const DRAWING = `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="70" font-size="10">
<clipPath id="cut"><rect x="210" y="10" width="80" height="40"/></clipPath>
<g id="square"><rect x="10" y="10" width="80" height="40" fill="#ff8" stroke="#000"/>${inside(10)}</g>
<g id="round"><rect x="110" y="10" width="80" height="40" rx="4" fill="#fff" stroke="#024" stroke-width="3"/>${inside(110)}</g>
<g id="cut-off" clip-path="url(#cut)"><rect x="210" y="10" width="80" height="40" fill="#eef" stroke="#000"/>${inside(210)}</g>
<g id="see-through"><rect x="310" y="10" width="80" height="40" fill="#ff8" stroke="#000" stroke-opacity=".5"/>${inside(310)}</g></svg>`;

  it.each(ARRANGEMENTS)('look as drawn, arranged %s', async (arrangement) => {
    const drawn = path.join(here.folder, 'strokes.svg');
    await writeFile(drawn, DRAWING);
    const out = path.join(here.folder, 'strokes', arrangement);
    await buildInto(out, readText(DRAWING), arrangement);
    const { differing } = await compareFiles(here.browser, drawn, path.join(out, 'index.html'), 400, 70);
    expect(differing).toBeLessThanOrEqual(0.001);
  });
});

describe.each(MOCKUPS)('$name', ({ name, file, reading: readMockup, most }) => {
  const reading = readMockup();
  const width = Math.ceil(reading.mockup.screens[0]!.width);
  const height = Math.ceil(reading.mockup.screens[0]!.height);
  let drawn: Buffer;
  beforeAll(async () => {
    drawn = await shoot(here.browser, await drawable(file), width, height);
  });

  it.each(ARRANGEMENTS)('arranged %s, looks like its mockup', async (arrangement) => {
    const out = path.join(here.folder, name, arrangement);
    await buildInto(out, reading, arrangement);
    const built = await shoot(here.browser, path.join(out, 'index.html'), width, height);
    const { differing } = await comparePictures(drawn, built);
    // In the flow the code comes first: words are as wide as their font has them, and lengths are whole.
    expect(differing).toBeLessThanOrEqual(arrangement === 'flow' ? 0.04 : most);
  });
});
