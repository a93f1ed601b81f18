import { Worker } from 'node:worker_threads';
import workerpool from 'workerpool';
import type { FindingData } from '../../core/findings/finding';
import { ReadError, type RefusalCode } from '../../core/read/readError';
import { JOBS, type JobName } from './jobs';

/** What a worker tells of its work. */
export type WorkerEvent =
  { readonly kind: 'begun' } | { readonly kind: 'progress'; readonly done: number; readonly total: number };

/** The result of a job; errors lose their class on the way between processes. */
export type Answer<Result> =
  | { readonly kind: 'result'; readonly result: Result }
  | { readonly kind: 'refused'; readonly code: RefusalCode; readonly data: FindingData };

const emit = (event: WorkerEvent) => workerpool.workerEmit(event);

async function answer<Name extends JobName>(
  name: Name,
  job: Parameters<(typeof JOBS)[Name]>[0],
): Promise<Answer<unknown>> {
  emit({ kind: 'begun' });
  try {
    const result = await JOBS[name](job, (done, total) => emit({ kind: 'progress', done, total }));
    return { kind: 'result', result };
  } catch (error) {
    if (error instanceof ReadError) return { kind: 'refused', code: error.code, data: error.data };
    throw error;
  }
}

new Worker(new URL('./memoryWatch.js', import.meta.url)).unref();
const names = Object.keys(JOBS) as JobName[];
workerpool.worker(Object.fromEntries(names.map((name) => [name, (job: never) => answer(name, job)])));
