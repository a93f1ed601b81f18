import { readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { ARRANGEMENTS } from '../src/core/page/frame';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { readMockup } from '../src/engine/readMockup';
import { buildInto } from '../tests/support/build';
import { launchChromium } from '../tests/support/chromium';
import { compareFiles } from '../tests/support/likeness';

/** How like the built pages are to their mockups: `tsx bench/likeness.ts FILE.svg …`, a line a file. */
const fonts = createFontBook();
const browser = await launchChromium();
const folder = path.resolve('.orden/likeness');
for (const file of process.argv.slice(2)) {
  const reading = await readMockup(await readFile(file), path.basename(file), { book: fonts });
  const rows = new Map<string, string[]>();
  for (const arrangement of ARRANGEMENTS) {
    const out = path.join(folder, reading.mockup.name, arrangement);
    const { mockup, emission } = await buildInto(out, reading, arrangement);
    for (const [at, screen] of mockup.screens.entries()) {
      const page = path.join(out, emission.screens[at]!.file);
      const [width, height] = [Math.ceil(screen.width), Math.ceil(screen.height)];
      const compared = await compareFiles(browser, file, page, width, height, screen.origin);
      await writeFile(`${page}.difference.png`, compared.difference);
      const cell = `${arrangement} ${(compared.differing * 100).toFixed(3)}%`;
      rows.set(screen.name, [...(rows.get(screen.name) ?? []), cell]);
    }
  }
  for (const [name, cells] of rows) console.log(name.padEnd(32), cells.join('   '));
}
await browser.close();
