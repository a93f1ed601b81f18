import { optimize } from 'svgo';
import { convert } from '../src/core/convert';
import { STAGES } from '../src/core/stopwatch';
import { layersOf } from '../src/core/mockup/walk';
import { read } from '../src/core/read/read';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { outlinerOf } from '../src/engine/outliner';
import { benchMockup } from './mockups';
import { textTable } from './table';

/**
 * `npm run bench`: the time of each stage on mockups of 500, 5,000 and 20,000 layers. The machine's speed falls out by
 * the reference that is run side by side: one default optimising pass of svgo over the same file. Its speed changes from
 * minute to minute: shares and growth are taken within a round, of which the medians are shown. Both are warm before that,
 * as in a worker, which is kept from job to job: V8 settles on the code of all stages after about eight conversions.
 */
const [WARM_UP, ROUNDS] = [8, 7];
const SIZES = [500, 5000, 20_000] as const;
const ROWS = [
  'read',
  ...STAGES,
  'total',
  'total without pictures',
  'page in flow',
  'total in flow',
  'total in flow without pictures',
  'svgo',
] as const;
type Times = Readonly<Record<(typeof ROWS)[number], number>>;

const fonts = createFontBook();

function once(svg: string): Times {
  const nested = converted(svg, 'nested');
  const flow = converted(svg, 'flow');
  const [svgo] = timed(() => optimize(svg));
  return {
    ...nested,
    'page in flow': flow.page,
    'total in flow': flow.total,
    'total in flow without pictures': flow['total without pictures'],
    svgo,
  };
}

/** Parsed from the file each time, so that nothing is memoized. */
function converted(svg: string, arrangement: 'nested' | 'flow') {
  const [read, { mockup, assets, book }] = timed(() => readFile(svg));
  const options = { arrangement, target: 'html' } as const;
  const { ms } = convert({ mockup, assets, tags: new Map(), outliner: outlinerOf(book), options });
  const total = STAGES.reduce((sum, stage) => sum + ms[stage], read);
  return { read, ...ms, total, 'total without pictures': total - ms.pictures };
}

function readFile(svg: string) {
  return read(new TextEncoder().encode(svg), 'bench.svg', fonts);
}

/** Runs `run` and gives its time in ms and its result. */
function timed<Result>(run: () => Result): [number, Result] {
  const start = performance.now();
  const result = run();
  return [performance.now() - start, result];
}

const mockups = SIZES.map(benchMockup);
const layers = mockups.map((svg) => layersOf(readFile(svg).mockup).length);
for (let warm = 0; warm < WARM_UP; warm++) once(mockups[1]!);
const rounds = Array.from({ length: ROUNDS }, () => mockups.map(once));

/** The median over all rounds of one figure of a mockup. */
function median(at: number, of: (times: Times, smaller: Times) => number): number {
  const all = rounds.map((round) => of(round[at]!, round[Math.max(0, at - 1)]!));
  return all.sort((one, other) => one - other)[ROUNDS >> 1] ?? 0;
}

const rows = ROWS.map((row) => [
  row,
  ...SIZES.flatMap((_, at) => [
    median(at, (times) => times[row]).toFixed(1),
    median(at, (times) => times[row] / times.svgo).toFixed(2),
  ]),
  ...SIZES.slice(1).map((_, at) => median(at + 1, (times, smaller) => times[row] / smaller[row]).toFixed(1)),
]);
const head = [
  'stage',
  ...layers.flatMap((count) => [`${count} layers, ms`, 'of svgo']),
  ...SIZES.slice(1).map((_, at) => `growth ${at + 1}`),
];
console.log(textTable(head, rows));
console.log(
  `\nMedian of ${ROUNDS} rounds. "of svgo": share of one default optimising pass over the same file, run side by side.`,
);
console.log('Growth: how many times as long as for the next smaller mockup.');
