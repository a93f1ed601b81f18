import { readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { read } from '../src/core/read/read';
import { ARRANGEMENTS } from '../src/core/page/node';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { buildInto } from '../tests/support/build';
import { launchChromium } from '../tests/support/chromium';
import { compareFiles } from '../tests/support/likeness';

/** How like the built pages are to their mockups: `tsx bench/likeness.ts FILE.svg …`, a line a file. */
const fonts = createFontBook();
const browser = await launchChromium();
const folder = path.resolve('.orden/likeness');
for (const file of process.argv.slice(2)) {
  const reading = read(await readFile(file), path.basename(file), fonts);
  const { mockup } = reading;
  const [screen] = mockup.screens;
  if (!screen) continue;
  const cells: string[] = [];
  for (const arrangement of ARRANGEMENTS) {
    const out = path.join(folder, mockup.name, arrangement);
    await buildInto(out, reading, arrangement);
    const [width, height] = [Math.ceil(screen.width), Math.ceil(screen.height)];
    const { differing, difference } = await compareFiles(
      browser,
      file,
      path.join(out, 'index.html'),
      width,
      height,
    );
    await writeFile(path.join(out, 'difference.png'), difference);
    cells.push(`${arrangement} ${(differing * 100).toFixed(3)}%`);
  }
  console.log(mockup.name.padEnd(32), cells.join('   '));
}
await browser.close();
