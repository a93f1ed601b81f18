import { spawnSync } from 'node:child_process';
import { randomFillSync } from 'node:crypto';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { strToU8, zipSync, type Zippable } from 'fflate';
import sharp from 'sharp';
import { layersOf } from '../src/core/mockup/walk';
import { ReadError } from '../src/core/read/readError';
import { createFontBook } from '../src/engine/fonts/fontBook';
import { readMockup } from '../src/engine/readMockup';
import { hostileFiles } from '../tests/support/hostile';
import { textTable } from './table';

/**
 * `npm run bench`: how long reading takes and how much memory, each file in a process of its own: an OpenRaster
 * mockup of 100 MB, and the slowest of the hostile files.
 */
const SHOWN = 12;

interface Measured {
  readonly name: string;
  readonly size: number;
  readonly ms: number;
  /** Peak memory of the process, MB. */
  readonly memory: number;
  readonly outcome: string;
}

async function measureOne(file: string): Promise<Measured> {
  const bytes = await readFile(file);
  const book = createFontBook();
  const start = performance.now();
  const outcome = await readMockup(bytes, path.basename(file), { book }).then(
    ({ mockup }) => `${layersOf(mockup).length} layers`,
    (error: unknown) => (error instanceof ReadError ? error.code : String(error)),
  );
  const ms = performance.now() - start;
  const memory = process.resourceUsage().maxRSS / 1024;
  return { name: path.basename(file), size: bytes.length, ms, memory, outcome };
}

function measureApart(file: string): Measured {
  const run = spawnSync(process.execPath, [...process.execArgv, process.argv[1] ?? '', file], {
    encoding: 'utf8',
  });
  if (run.status !== 0) throw new Error(`${file} ended its process: ${run.stderr.slice(-500)}`);
  return JSON.parse(run.stdout) as Measured;
}

/** Layers of noise, which no packing makes smaller. */
async function heavyOpenRaster(megabytes: number): Promise<Uint8Array> {
  const [width, height] = [1280, 800];
  const layers: Uint8Array[] = [];
  for (let size = 0; size < megabytes * 1e6; size += layers.at(-1)?.length ?? 0) {
    const noise = randomFillSync(Buffer.alloc(width * height * 4));
    const raw = { width, height, channels: 4 } as const;
    layers.push(await sharp(noise, { raw }).png({ compressionLevel: 1 }).toBuffer());
  }
  const stack = layers.map((_, at) => `<layer name="noise ${at}" src="data/${at}.png"/>`).join('');
  const files: Zippable = {
    mimetype: strToU8('image/openraster'),
    'stack.xml': strToU8(`<image version="0.0.5" w="${width}" h="${height}"><stack>${stack}</stack></image>`),
  };
  layers.forEach((bytes, at) => {
    files[`data/${at}.png`] = bytes;
  });
  return zipSync(files, { level: 0 });
}

async function main(): Promise<void> {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'orden-bench-'));
  const measure = async (name: string, bytes: Uint8Array) => {
    const file = path.join(folder, name);
    await writeFile(file, bytes);
    return measureApart(file);
  };
  const heavy = await measure('heavy.ora', await heavyOpenRaster(100));
  const hostile: Measured[] = [];
  for (const { name, bytes } of await hostileFiles()) hostile.push(await measure(name, bytes));
  await rm(folder, { recursive: true });

  const row = ({ name, size, ms, memory, outcome }: Measured) => [
    name,
    (size / 1e6).toFixed(1),
    ms.toFixed(0),
    memory.toFixed(0),
    outcome,
  ];
  const slowest = hostile.toSorted((one, other) => other.ms - one.ms);
  console.log(
    textTable(['file', 'MB', 'ms', 'peak MB', 'outcome'], [heavy, ...slowest.slice(0, SHOWN)].map(row)),
  );
  const peak = Math.max(...hostile.map(({ memory }) => memory));
  console.log(
    `\nThe ${SHOWN} slowest of ${hostile.length} hostile files; the largest peak of all is ${peak.toFixed(0)} MB.`,
  );
}

const [file] = process.argv.slice(2);
if (file === undefined) await main();
else console.log(JSON.stringify(await measureOne(file)));
