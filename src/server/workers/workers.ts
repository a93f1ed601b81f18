import { Worker } from 'node:worker_threads';
import type { ReadWithPicture } from '../../engine/readWithPicture';
import type { BuildJob, BuildOutput } from './buildWorker';
import type { LinksJob, PageLinks } from './linksWorker';
import type { ProofJob, ProofOutput } from './proofWorker';
import type { ReadJob } from './readWorker';
import { runWorker, WORKER_LIMITS, type WorkerRun } from './runWorker';

/** Reads a file in a worker of its own, in bounded time and memory, as long as someone waits for it. */
export function readInWorker(
  job: ReadJob,
  run: Pick<WorkerRun, 'onProgress' | 'signal'>,
): Promise<ReadWithPicture> {
  const worker = new Worker(new URL('./readWorker.ts', import.meta.url), {
    workerData: job,
    resourceLimits: WORKER_LIMITS,
  });
  return runWorker(worker, {
    ...run,
    timeoutMs: 60_000,
    tooLong: 'Reading took longer than a minute and was given up; split the mockup into several files.',
  });
}

/** Builds in a worker of its own, so that it can be cancelled at any moment. */
export function buildInWorker(
  job: BuildJob,
  run: Pick<WorkerRun, 'onProgress' | 'signal'>,
): Promise<BuildOutput> {
  const worker = new Worker(new URL('./buildWorker.ts', import.meta.url), {
    workerData: job,
    resourceLimits: WORKER_LIMITS,
  });
  return runWorker(worker, {
    ...run,
    timeoutMs: 300_000,
    tooLong: 'Building took longer than five minutes and was given up; split the mockup into several files.',
  });
}

/** Pulls a proof in a worker of its own: comparing pictures takes a while. */
export function proveInWorker(job: ProofJob): Promise<ProofOutput> {
  const worker = new Worker(new URL('./proofWorker.ts', import.meta.url), {
    workerData: job,
    resourceLimits: WORKER_LIMITS,
  });
  return runWorker(worker, {
    timeoutMs: 300_000,
    tooLong: 'The proof took longer than five minutes and was given up.',
  });
}

/** Finds the layers in the pages of a build. */
export function linkInWorker(job: LinksJob): Promise<PageLinks> {
  const worker = new Worker(new URL('./linksWorker.ts', import.meta.url), {
    workerData: job,
    resourceLimits: WORKER_LIMITS,
  });
  return runWorker(worker, {
    timeoutMs: 60_000,
    tooLong: 'Linking layers and code took longer than a minute and was given up.',
  });
}
