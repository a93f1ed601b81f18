import { readFileSync } from 'node:fs';
import path from 'node:path';
import { bookOfStyles, convert } from '../src/core/convert';
import { read } from '../src/core/read/read';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { outlinerOf } from '../src/engine/outliner';
import { benchMockup } from './mockups';
import { pageFiles } from './pages';
import { textTable } from './table';

/**
 * `npm run bench`: what becomes of the styles of the demo and of pages that were drawn as mockups, in flow: `tsx
 * bench/style.ts [FOLDER]` takes other mockups. And the time of factoring as a share of that of reading, side by side.
 */
const fonts = createFontBook();

const files = pageFiles(process.argv.slice(2));
const rows = files.map((file) => {
  const { mockup, assets, book } = read(new Uint8Array(readFileSync(file)), path.basename(file), fonts);
  const options = { arrangement: 'flow', target: 'html' } as const;
  const input = { mockup, assets, tags: new Map(), options, outliner: outlinerOf(book) };
  const styles = bookOfStyles(input)!;
  const [html = ''] = convert(input).emission.files.map(({ text }) => text);
  const count = (test: (each: (typeof styles.classes)[number]) => boolean) =>
    styles.classes.filter(test).length;
  return {
    file,
    classes: styles.classes.length,
    once: count(({ users }) => users.length === 1),
    madeUp: count(({ origin }) => origin === 'made up'),
    numbered: count(({ name }) => /-\d+$/.test(name)),
    bytes: styles.bytes.sheet,
    apart: styles.bytes.apart,
    elements: (html.match(/<[a-z]/g) ?? []).length,
    inline: (html.match(/ style="/g) ?? []).length,
    tokens: styles.tokens.length,
  };
});
const sum = (key: Exclude<keyof (typeof rows)[number], 'file'>) =>
  rows.reduce((all, row) => all + row[key], 0);
const share = (part: number, of: number) => `${((part / of) * 100).toFixed(0)}%`;
const line = (name: string, of: (key: Exclude<keyof (typeof rows)[number], 'file'>) => number) => [
  name,
  String(of('classes')),
  share(of('once'), of('classes')),
  share(of('madeUp'), of('classes')),
  share(of('numbered'), of('classes')),
  share(of('bytes'), of('apart')),
  share(of('inline'), of('elements')),
  String(of('tokens')),
];
console.log(
  textTable(
    [
      'styles in flow',
      'classes',
      'worn once',
      'owner and part, or made up',
      'numbered',
      'bytes of a rule each',
      'with a style attribute',
      'custom properties',
    ],
    [...rows.map((row) => line(path.basename(row.file), (key) => row[key])), line('all', sum)],
  ),
);

const times = [5000, 20_000].map((layers) => {
  const svg = new TextEncoder().encode(benchMockup(layers));
  const rounds = Array.from({ length: 5 }, () => {
    const start = performance.now();
    const { mockup, assets, book } = read(svg, 'bench.svg', fonts);
    const reading = performance.now() - start;
    const options = { arrangement: 'flow', target: 'html' } as const;
    const { ms } = convert({ mockup, assets, tags: new Map(), options, outliner: outlinerOf(book) });
    return { share: ms.style / reading, ms: ms.style };
  });
  const median = (key: 'share' | 'ms') =>
    rounds.map((round) => round[key]).sort((one, other) => one - other)[2]!;
  return { layers, share: median('share'), ms: median('ms') };
});
for (const { layers, share: part, ms } of times)
  console.log(`Styles of ${layers} layers: ${part.toFixed(2)} of the time of reading (${ms.toFixed(0)} ms).`);
