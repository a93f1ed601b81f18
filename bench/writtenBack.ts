import { mkdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { read } from '../src/core/read/read';
import { ReadError } from '../src/core/read/readError';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { launchChromium } from '../tests/support/chromium';
import { BackComparer } from '../tests/support/writtenBack';

/** What reading loses: `tsx bench/writtenBack.ts FILE.svg …` writes every file back and compares, worst last. */
const fonts = createFontBook();
const browser = await launchChromium();
const comparer = await BackComparer.open(browser);
const folder = path.resolve('.orden/written-back');
await mkdir(folder, { recursive: true });
const results: { name: string; differing: number; codes: string }[] = [];
let refused = 0;
for (const file of process.argv.slice(2)) {
  const bytes = await readFile(file);
  const name = path.basename(file);
  try {
    const reading = read(bytes, name, fonts);
    const codes = [...new Set(reading.findings.map((finding) => finding.code))].join(' ');
    const original = bytes[0] === 0x1f ? gunzipSync(bytes) : bytes;
    const differing = await comparer.compare(original, reading, path.join(folder, `${name}.png`));
    results.push({ name, differing, codes });
  } catch (error) {
    refused += 1;
    const said = error instanceof ReadError ? error.message : String(error);
    console.log(name.padEnd(44), 'refused:', said.split('\n')[0]);
  }
}
results.sort((one, other) => one.differing - other.differing);
for (const { name, differing, codes } of results) {
  if (differing > 0.001) console.log(name.padEnd(44), `${(differing * 100).toFixed(3)}%`.padStart(9), codes);
}
const good = results.filter(({ differing }) => differing <= 0.001).length;
console.log(`${good} of ${results.length} differ in at most 0.1% of their pixels; ${refused} refused.`);
await comparer.close();
await browser.close();
