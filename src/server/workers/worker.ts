import { parentPort } from 'node:worker_threads';
import { ReadError } from '../../core/read/readError';
import { JOBS, type JobName, type JobOf, type ResultOf } from './jobs';
import type { WorkerMessage, WorkerTask } from './runInWorker';

/** Runs the jobs that it is sent, one after the other. */
parentPort?.on('message', ({ name, job }: WorkerTask<JobName>) => void work(name, job));

async function work<Name extends JobName>(name: Name, job: JobOf<Name>): Promise<void> {
  const say = (message: WorkerMessage<ResultOf<Name>>) => parentPort?.postMessage(message);
  try {
    const result = await JOBS[name](job, (done, total) => say({ kind: 'progress', done, total }));
    say({ kind: 'result', result });
  } catch (error) {
    if (error instanceof ReadError) say({ kind: 'refused', code: error.code, data: error.data });
    else say({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
  }
}
