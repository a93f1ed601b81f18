import { Worker } from 'node:worker_threads';
import type { ReadWithPicture } from '../../engine/readWithPicture';
import type { BuildJob, BuildOutput } from './buildJob';
import type { FontJob, FontOutput } from './fontJob';
import { createWorkerPool, type WorkerPool } from './workerPool';
import type { ProofJob, ProofOutput } from './proofJob';
import type { ReadJob } from './readJob';
import type { WorkerRun } from './runInWorker';

/** The memory of one worker: a hostile file ends its worker, never the server. */
const WORKER_LIMITS = { maxOldGenerationSizeMb: 1024 } as const;

// Kept on `globalThis`, so that a reloaded module reuses the pool of the process.
const shared = globalThis as { ordenWorkers?: WorkerPool };

function workerPool(): WorkerPool {
  shared.ordenWorkers ??= createWorkerPool(
    () => new Worker(new URL('./worker.ts', import.meta.url), { resourceLimits: WORKER_LIMITS }),
  );
  return shared.ordenWorkers;
}

/** Reads a file in a worker, in bounded time and memory, until the request is aborted. */
export function readInWorker(
  job: ReadJob,
  run: Pick<WorkerRun, 'onProgress' | 'signal'>,
): Promise<ReadWithPicture> {
  return workerPool().run('read', job, {
    ...run,
    timeoutMs: 60_000,
    tooLong: 'Reading took longer than a minute and was given up; split the mockup into several files.',
  });
}

/** Reads a font file in a worker, in bounded time. */
export function readFontInWorker(job: FontJob): Promise<FontOutput> {
  return workerPool().run('font', job, {
    timeoutMs: 5_000,
    tooLong: 'This font file cannot be read; choose another TTF, OTF or WOFF2 file.',
  });
}

/** Builds in a worker, so that it can be cancelled at any moment. */
export function buildInWorker(
  job: BuildJob,
  run: Pick<WorkerRun, 'onProgress' | 'signal'>,
): Promise<BuildOutput> {
  return workerPool().run('build', job, {
    ...run,
    timeoutMs: 300_000,
    tooLong: 'Building took longer than five minutes and was given up; split the mockup into several files.',
  });
}

/** Pulls a proof in a worker, since comparing pictures is slow. */
export function proveInWorker(job: ProofJob): Promise<ProofOutput> {
  return workerPool().run('prove', job, {
    timeoutMs: 300_000,
    tooLong: 'The proof took longer than five minutes and was given up.',
  });
}
