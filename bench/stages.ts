import { optimize } from 'svgo';
import { convert, STAGES, type Stage } from '../src/core/convert';
import { layersOf } from '../src/core/mockup/walk';
import { read } from '../src/core/read/read';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { outlinerOf } from '../src/engine/produce';
import { benchMockup } from './mockups';
import { textTable } from './table';

/**
 * `npm run bench`: the time of each stage on mockups of 500, 5,000 and 20,000 layers. The machine's speed falls out by
 * the reference that is run side by side: one default optimising pass of svgo over the same file.
 */
const ROUNDS = 5;
const SIZES = [500, 5000, 20_000] as const;
const ROWS = ['read', ...STAGES, 'total', 'page in flow', 'total in flow'] as const;
type Row = (typeof ROWS)[number];
type Times = Readonly<Record<Row | 'reference', number>>;

const fonts = createFontBook();

function once(svg: string): Times {
  const bytes = new TextEncoder().encode(svg);
  let start = performance.now();
  const { mockup, assets, book } = read(bytes, 'bench.svg', fonts);
  const readMs = performance.now() - start;
  const input = { mockup, assets, tags: new Map(), outliner: outlinerOf(book) };
  const { ms } = convert({ ...input, options: { arrangement: 'nested', target: 'html' } });
  // The stages keep what they made of a mockup: a copy of it is new to them.
  const flow = convert({
    ...input,
    mockup: structuredClone(mockup),
    options: { arrangement: 'flow', target: 'html' },
  }).ms;
  start = performance.now();
  optimize(svg);
  const reference = performance.now() - start;
  const sum = (times: Readonly<Record<Stage, number>>) =>
    STAGES.reduce((all, stage) => all + times[stage], readMs);
  return {
    read: readMs,
    ...ms,
    total: sum(ms),
    'page in flow': flow.page,
    'total in flow': sum(flow),
    reference,
  };
}

/** The median of several rounds, after one that warms up. */
function measure(svg: string): Times {
  once(svg);
  const rounds = Array.from({ length: ROUNDS }, () => once(svg));
  const median = (key: keyof Times) =>
    rounds.map((round) => round[key]).sort((one, other) => one - other)[ROUNDS >> 1] ?? 0;
  return Object.fromEntries([...ROWS, 'reference' as const].map((key) => [key, median(key)])) as Times;
}

const results = SIZES.map((size) => {
  const svg = benchMockup(size);
  const layers = layersOf(read(new TextEncoder().encode(svg), 'bench.svg', fonts).mockup).length;
  return { layers, times: measure(svg) };
});
const growth = (of: (times: Times) => number) =>
  results.slice(1).map(({ times }, at) => (of(times) / of(results[at]?.times ?? times)).toFixed(1));

const rows = ROWS.map((row) => [
  row,
  ...results.flatMap(({ times }) => [times[row].toFixed(1), (times[row] / times.reference).toFixed(2)]),
  ...growth((times) => times[row]),
]);
rows.push([
  'svgo',
  ...results.flatMap(({ times }) => [times.reference.toFixed(1), '1.00']),
  ...growth((times) => times.reference),
]);
const head = [
  'stage',
  ...results.flatMap(({ layers }) => [`${layers} layers, ms`, 'of svgo']),
  ...SIZES.slice(1).map((_, at) => `growth ${at + 1}`),
];
console.log(textTable(head, rows));
console.log(
  `\nMedian of ${ROUNDS} rounds. "of svgo": share of one default optimising pass over the same file, run side by side.`,
);
console.log('Growth: how many times as long as for the next smaller mockup.');
