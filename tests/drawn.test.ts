import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { buildRecord } from '../src/core/buildRecord';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { proofSheet, pullProof } from '../src/engine/proof/proof';
import { readMockup } from '../src/engine/readMockup';
import { sheetSvg } from '../src/engine/sheetSvg';
import { buildInto } from './support/build';
import { inChromium } from './support/inChromium';
import { casePath } from './support/mockups';

/**
 * Mockups as designers leave them, each to try a need. Whatever is drawn is on the page, or what takes it off is
 * said at its layer.
 */
const here = inChromium();
const DRAWN = casePath('drawn');
const book = createFontBook();
const FILES = readdirSync(DRAWN).filter((file) => /\.(?:svg|ora)$/.test(file));

/** Samples give other layers their look, so that the page differs from the wireframe. */
const RESTYLED = ['a14-samples.svg', 'a14b-samples.svg'];
/** The rules that take something off the page that is seen. */
const SAID = ['name', 'person', 'alike', 'within', 'guides', 'outside', 'covered'];

it.each(FILES)('%s: all that is seen is on its pages', async (file) => {
  const bytes = readFileSync(path.join(DRAWN, file));
  const reading = await readMockup(bytes, file, { book });
  const folder = path.join(here.folder, file);
  const conversion = await buildInto(folder, reading, 'nested');
  const { width = 0, height = 0 } = reading.mockup.screens[0] ?? {};
  const drawing = reading.mockup.format === 'svg' ? bytes : new TextEncoder().encode(sheetSvg(reading));
  const record = buildRecord(conversion);
  const proofs = await pullProof({
    browser: here.browser,
    record,
    folder,
    sheet: proofSheet(drawing, { width, height }),
  });
  const named = new Set(conversion.findings.map(({ layer }) => layer));
  for (const [id, { outcome, origin }] of conversion.decisions)
    if (outcome === 'aside' && origin === 'guides') expect(named).toContain(id);
  for (const { name, differing, worst } of proofs) {
    const aside = worst.filter(({ isAside }) => isAside);
    for (const { layer } of aside) expect(SAID).toContain(conversion.decisions.get(layer)!.origin);
    if (RESTYLED.includes(file)) continue;
    // What is not on the page differs where it was drawn, and nothing else does.
    const pixels = record.screens
      .filter((screen) => screen.name === name)
      .map((one) => one.width * one.height);
    const off = aside.reduce((sum, layer) => sum + layer.differing * layer.box.width * layer.box.height, 0);
    expect([name, differing - off / Math.min(...pixels) < 0.002]).toEqual([name, true]);
  }
});
