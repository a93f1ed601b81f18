import { readFileSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buildRecord } from '../src/core/buildRecord';
import { convert } from '../src/core/convert';
import { emit, type Emission } from '../src/core/emit/emit';
import { TARGETS, TARGET_NAMES, type TargetName } from '../src/core/emit/targets';
import type { Target } from '../src/core/emit/target';
import { treeOf } from '../src/core/mockup/tree';
import { USUAL_LANGUAGE, type Arrangement } from '../src/core/page/frame';
import { read } from '../src/core/read/read';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { launchChromium } from '../src/engine/proof/chromium';
import { comparePictures } from '../src/engine/proof/compare';
import { proofSheet, pullProof } from '../src/engine/proof/proof';
import { outlinerOf } from '../src/engine/outliner';
import { produce } from '../src/engine/produce';
import { writeFiles } from '../src/engine/writeFiles';
import { benchMockup } from './mockups';
import { pageFiles } from './pages';
import { textTable } from './table';

/**
 * `npm run bench`: what each target makes of the demo and of pages that were drawn as mockups: `tsx bench/targets.ts
 * [TARGETS [FOLDER ...]]`. The px that differ, all and apart from letters; runs of letters that are text; lines and bytes
 * of code, and their share of those of code with one element a layer, each at its own coordinates (fixed); and the time of writing 5,000 layers as a multiple of that for HTML, side by side.
 */
const [names = TARGET_NAMES.join(','), ...asked] = process.argv.slice(2);
const targets = TARGET_NAMES.filter((name) => names.split(',').includes(name));
const files = pageFiles(asked);
const fonts = createFontBook();
const browser = await launchChromium();

interface Figures {
  readonly differing: number | null;
  readonly apart: number | null;
  readonly texts: number;
  readonly asText: number;
  readonly lines: number;
  readonly bytes: number;
  /** The same of the page with one element a layer. */
  readonly alone: Pick<Figures, 'lines' | 'bytes'>;
  readonly findings: number;
}

async function measure(file: string, target: TargetName, arrangement: Arrangement): Promise<Figures> {
  const bytes = new Uint8Array(readFileSync(file));
  const { mockup, assets, book } = read(bytes, path.basename(file), fonts);
  const product = await produce({
    mockup,
    assets,
    tags: new Map(),
    options: { arrangement, target },
    book,
    readFindings: [],
  });
  const { conversion } = product;
  const tree = treeOf(conversion.mockup);
  const texts = [...conversion.decisions].filter(
    ([id, { outcome }]) => tree.layer(id)?.kind === 'text' && outcome !== 'aside' && outcome !== 'sample',
  );
  const { emission } = convert({
    mockup,
    assets,
    tags: new Map(),
    options: { arrangement: 'fixed', target },
    outliner: outlinerOf(book),
  });
  const figures = {
    texts: texts.length,
    asText: texts.filter(([, { outcome, within }]) => outcome === 'element' && within === null).length,
    ...extentOf(conversion.emission),
    alone: extentOf(emission),
    findings: product.findings.filter(({ code: kind }) => kind === 'not-shown').length,
  };
  const folder = await mkdtemp(path.join(tmpdir(), 'orden-bench-targets-'));
  try {
    await writeFiles(folder, product.files);
    const [sheet] = mockup.screens;
    const [proof] = await pullProof({
      browser,
      record: buildRecord(conversion),
      folder,
      sheet: proofSheet(bytes, { width: sheet!.width, height: sheet!.height }),
    });
    const { mockup: drawn, page } = proof!.pictures;
    const compared = await comparePictures(drawn, page);
    const size = sheet!.width * sheet!.height;
    const [measured] = [...conversion.measures.values()];
    // Words stand a little to the side of where they were drawn.
    const inLetters = texts.reduce((sum, [id]) => {
      const box = measured?.get(id)?.painted;
      if (!box) return sum;
      const around = { x: box.x - 2, y: box.y - 2, width: box.width + 4, height: box.height + 4 };
      return sum + compared.within(around) * around.width * around.height;
    }, 0);
    return {
      ...figures,
      differing: compared.differing,
      apart: Math.max(0, compared.differing - inLetters / size),
    };
  } catch (error) {
    console.error(
      `${file}, ${target}, ${arrangement}: ${error instanceof Error ? error.message.slice(0, 200) : ''}`,
    );
    return { ...figures, differing: null, apart: null };
  } finally {
    await rm(folder, { recursive: true });
  }
}

function extentOf({ files: written }: Pick<Emission, 'files'>): Figures['alone'] {
  const code = written.map(({ text }) => text).join('');
  return { lines: code.split('\n').length, bytes: code.length };
}

const percent = (share: number | null) => (share === null ? '–' : `${(share * 100).toFixed(2)}%`);
const wholePercent = (share: number) => `${Math.round(share * 100)}%`;
const middle = (values: readonly number[]) =>
  values.length === 0 ? null : [...values].sort((one, other) => one - other)[Math.floor(values.length / 2)]!;

for (const target of targets) {
  const rows: string[][] = [];
  for (const arrangement of ['nested', 'flow'] as const) {
    const all: Figures[] = [];
    for (const file of files) {
      const figures = await measure(file, target, arrangement);
      all.push(figures);
      rows.push(rowOf(`${path.basename(file).replace(/\.svgz?$/, '')}, ${arrangement}`, figures));
    }
    const of = (pick: (each: Figures) => number | null) =>
      middle(all.map(pick).filter((value) => value !== null));
    const sum = (pick: (each: Figures) => number) => all.reduce((total, each) => total + pick(each), 0);
    rows.push(
      rowOf(`together, ${arrangement}`, {
        differing: of((each) => each.differing),
        apart: of((each) => each.apart),
        texts: sum((each) => each.texts),
        asText: sum((each) => each.asText),
        lines: sum((each) => each.lines),
        bytes: sum((each) => each.bytes),
        alone: {
          lines: sum(({ alone }) => alone.lines),
          bytes: sum(({ alone }) => alone.bytes),
        },
        findings: sum((each) => each.findings),
      }),
    );
  }
  console.log(
    textTable(
      [
        TARGETS[target].label,
        'differing',
        'apart from letters',
        'words as text',
        'lines',
        'of fixed',
        'kB',
        'of fixed',
      ],
      rows,
    ),
  );
}

function rowOf(name: string, { differing, apart, texts, asText, lines, bytes, alone }: Figures): string[] {
  return [
    name,
    percent(differing),
    percent(apart),
    `${asText} of ${texts}`,
    String(lines),
    wholePercent(lines / alone.lines),
    (bytes / 1024).toFixed(0),
    wholePercent(bytes / alone.bytes),
  ];
}
await browser.close();

const { mockup, assets, book } = read(new TextEncoder().encode(benchMockup(5000)), 'bench.svg', fonts);
const times = new Map<TargetName, number>();
for (const target of ['html', ...targets.filter((name) => name !== 'html')] as TargetName[]) {
  const options = { arrangement: 'flow', target } as const;
  const conversion = convert({ mockup, assets, tags: new Map(), options, outliner: outlinerOf(book) });
  const input = { ...conversion, settings: {}, language: USUAL_LANGUAGE };
  const kind: Target = TARGETS[target];
  emit(kind, input);
  const start = performance.now();
  for (let run = 0; run < 3; run++) emit(kind, input);
  times.set(target, (performance.now() - start) / 3);
}
console.log(
  textTable(
    ['writing 5,000 layers', 'ms', 'of the time for HTML'],
    [...times].map(([name, ms]) => [name, ms.toFixed(0), (ms / times.get('html')!).toFixed(2)]),
  ),
);
