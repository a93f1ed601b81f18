import { execFileSync } from 'node:child_process';
import { convert } from '../src/core/convert';
import { read } from '../src/core/read/read';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { outlinerOf } from '../src/engine/outliner';
import { benchMockup } from './mockups';
import { textTable } from './table';

/** `npm run bench`: the most memory that one conversion needs, each in a process of its own, reading included. */
const SIZES = [500, 5000, 20_000] as const;
const [size] = process.argv.slice(2);

if (size === undefined) {
  const rows = SIZES.map((layers) => [
    `${layers} layers`,
    ...(['nested', 'flow'] as const).map((arrangement) => megabytes(layers, arrangement)),
  ]);
  console.log(textTable(['peak memory, MB', 'nested', 'flow'], rows));
} else {
  const bytes = new TextEncoder().encode(benchMockup(Number(size)));
  const { mockup, assets, book } = read(bytes, 'bench.svg', createFontBook());
  const arrangement = process.argv[3] === 'flow' ? 'flow' : 'nested';
  const options = { arrangement, target: 'html' } as const;
  convert({ mockup, assets, tags: new Map(), options, outliner: outlinerOf(book) });
  console.log((process.resourceUsage().maxRSS / 1024).toFixed(0));
}

function megabytes(layers: number, arrangement: string): string {
  const own = ['--import', 'tsx', 'bench/peak.ts', String(layers), arrangement];
  return execFileSync(process.execPath, own, { encoding: 'utf8' }).trim();
}
