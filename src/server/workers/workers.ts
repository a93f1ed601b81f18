import path from 'node:path';
import type { BuildJob, BuildOutput } from './buildJob';
import type { DrawJob, DrawOutput } from './drawJob';
import type { FontJob, FontOutput } from './fontJob';
import type { PackedReading } from './packReading';
import type { PicturesJob, PicturesOutput } from './picturesJob';
import type { ProofJob, ProofOutput } from './proofJob';
import type { ReadJob } from './readJob';
import type { ReportJob } from './reportJob';
import type { ScreensJob, ScreensOutput } from './screensJob';
import type { ShrinkJob } from './shrinkJob';
import type { StyleFileJob, StyleFileOutput } from './styleFileJob';
import type { StyleJob } from './styleJob';
import type { TagJob } from './tagJob';
import { createWorkerPool, type WorkerPool, type WorkerRun } from './workerPool';

/** The heap of one worker: a hostile file ends its worker, never the server. */
const HEAP_MB = 1024;

// Kept on `globalThis`, so that a reloaded module reuses the pool of the process.
const shared = globalThis as { ordenWorkers?: WorkerPool };

function workerPool(): WorkerPool {
  // Bundled by `scripts/bundleCommand.mjs`: a process of its own needs a file of its own.
  const script = path.join(process.env.ORDEN_HOME ?? process.cwd(), '.orden/command/worker.js');
  shared.ordenWorkers ??= createWorkerPool(script, HEAP_MB);
  return shared.ordenWorkers;
}

/** What the caller of a long job hears of it, and how it ends it. */
type Watched = Pick<WorkerRun, 'onProgress' | 'onPlace' | 'signal'>;

const LARGE_LAYERS = 1500;

/** True for a mockup whose builds take so long that no other should wait for them. */
export function isLarge(layerCount: number): boolean {
  return layerCount > LARGE_LAYERS;
}

/** Reads a file in bounded time and memory, until the request is aborted. */
export function readInWorker(job: ReadJob, watched: Watched): Promise<PackedReading> {
  return workerPool().run('read', job, {
    ...watched,
    lane: 'short',
    timeoutMs: 60_000,
    tooLong: 'Reading took longer than a minute and was given up; split the mockup into several files.',
  });
}

/** Reads a font file in bounded time. */
export function readFontInWorker(job: FontJob): Promise<FontOutput> {
  return workerPool().run('font', job, {
    lane: 'short',
    timeoutMs: 5_000,
    tooLong: 'This font file cannot be read; choose another TTF, OTF or WOFF2 file.',
  });
}

/** The report on a mockup with its tags, as JSON. */
export function reportInWorker(job: ReportJob): Promise<string> {
  return workerPool().run('report', job, {
    lane: 'short',
    timeoutMs: 60_000,
    tooLong: 'The report took longer than a minute and was given up; split the mockup into several files.',
  });
}

/** The style sheet of a mockup to look at, as JSON. */
export function styleInWorker(job: StyleJob): Promise<string> {
  return workerPool().run('style', job, {
    lane: 'short',
    timeoutMs: 60_000,
    tooLong:
      'The style sheet took longer than a minute and was given up; split the mockup into several files.',
  });
}

/** Writes a style file, or reads one. */
export function styleFileInWorker(job: StyleFileJob): Promise<StyleFileOutput> {
  return workerPool().run('styleFile', job, {
    lane: 'short',
    timeoutMs: 20_000,
    tooLong: 'The style file took longer than 20 seconds and was given up.',
  });
}

/** A copy of the mockup's file with its tags. */
export function tagInWorker(job: TagJob): Promise<string> {
  return workerPool().run('tag', job, {
    lane: 'short',
    timeoutMs: 60_000,
    tooLong:
      'Writing the tags took longer than a minute and was given up; split the mockup into several files.',
  });
}

/** A small picture for the shelf, WebP. */
export function shrinkInWorker(job: ShrinkJob): Promise<Uint8Array> {
  return workerPool().run('shrink', job, {
    lane: 'short',
    timeoutMs: 20_000,
    tooLong: 'The small picture took longer than 20 seconds and was given up.',
  });
}

/** Draws a screen or a layer of a mockup. */
export function drawInWorker(job: DrawJob): Promise<DrawOutput> {
  return workerPool().run('draw', job, {
    lane: 'drawing',
    timeoutMs: 60_000,
    tooLong: 'The drawing took longer than a minute and was given up; split the mockup into several files.',
  });
}

/** Lists the pictures of a mockup, or draws one, until the request is aborted. */
export function picturesInWorker(job: PicturesJob, watched: Watched): Promise<PicturesOutput> {
  return workerPool().run('pictures', job, {
    ...watched,
    lane: 'pictures',
    timeoutMs: 60_000,
    tooLong: 'The picture took longer than a minute and was given up; choose a smaller size.',
  });
}

/** Writes whole screens as pictures and PDFs, until the request is aborted. */
export function screensInWorker(job: ScreensJob, watched: Watched): Promise<ScreensOutput> {
  return workerPool().run('screens', job, {
    ...watched,
    lane: 'build',
    timeoutMs: 120_000,
    tooLong: 'The screens took longer than two minutes and were given up; choose fewer of them.',
  });
}

/** Builds in a process of its own, so that it can be cancelled at any moment. */
export function buildInWorker(job: BuildJob, layerCount: number, watched: Watched): Promise<BuildOutput> {
  return workerPool().run('build', job, {
    ...watched,
    lane: isLarge(layerCount) ? 'largeBuild' : 'build',
    timeoutMs: 300_000,
    tooLong: 'Building took longer than five minutes and was given up; split the mockup into several files.',
  });
}

/** Pulls a proof: comparing pictures is slow. */
export function proveInWorker(job: ProofJob, layerCount: number, watched: Watched): Promise<ProofOutput> {
  return workerPool().run('prove', job, {
    ...watched,
    lane: isLarge(layerCount) ? 'largeBuild' : 'build',
    timeoutMs: 300_000,
    tooLong: 'The proof took longer than five minutes and was given up.',
  });
}
