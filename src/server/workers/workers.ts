import { Worker } from 'node:worker_threads';
import type { ReadWithPicture } from '../../engine/readWithPicture';
import type { BuildJob, BuildOutput } from './buildJob';
import { createCrew, type Crew } from './crew';
import type { LinksJob, PageLinks } from './linksJob';
import type { ProofJob, ProofOutput } from './proofJob';
import type { ReadJob } from './readJob';
import type { WorkerRun } from './runInWorker';

/** Memory that one worker may take: a hostile file ends its worker, never the server. */
const WORKER_LIMITS = { maxOldGenerationSizeMb: 1024 } as const;

// Kept across reloads of modules, so that there is one crew in a process.
const shared = globalThis as { ordenCrew?: Crew };

function crew(): Crew {
  shared.ordenCrew ??= createCrew(
    () => new Worker(new URL('./worker.ts', import.meta.url), { resourceLimits: WORKER_LIMITS }),
  );
  return shared.ordenCrew;
}

/** Reads a file in a worker, in bounded time and memory, as long as someone waits for it. */
export function readInWorker(
  job: ReadJob,
  run: Pick<WorkerRun, 'onProgress' | 'signal'>,
): Promise<ReadWithPicture> {
  return crew().run('read', job, {
    ...run,
    timeoutMs: 60_000,
    tooLong: 'Reading took longer than a minute and was given up; split the mockup into several files.',
  });
}

/** Builds in a worker, so that it can be cancelled at any moment. */
export function buildInWorker(
  job: BuildJob,
  run: Pick<WorkerRun, 'onProgress' | 'signal'>,
): Promise<BuildOutput> {
  return crew().run('build', job, {
    ...run,
    timeoutMs: 300_000,
    tooLong: 'Building took longer than five minutes and was given up; split the mockup into several files.',
  });
}

/** Pulls a proof in a worker: comparing pictures takes a while. */
export function proveInWorker(job: ProofJob): Promise<ProofOutput> {
  return crew().run('prove', job, {
    timeoutMs: 300_000,
    tooLong: 'The proof took longer than five minutes and was given up.',
  });
}

/** Finds the layers in the pages of a build. */
export function linkInWorker(job: LinksJob): Promise<PageLinks> {
  return crew().run('link', job, {
    timeoutMs: 60_000,
    tooLong: 'Linking layers and code took longer than a minute and was given up.',
  });
}
