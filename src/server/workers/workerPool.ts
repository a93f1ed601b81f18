import { availableParallelism } from 'node:os';
import type { Worker } from 'node:worker_threads';
import pLimit from 'p-limit';
import { ReadError } from '../../core/read/readError';
import { Refusal } from '../http';
import type { JobName, JobOf, ResultOf } from './jobs';
import { runInWorker, TOO_MUCH_MEMORY, type WorkerRun, type WorkerTask } from './runInWorker';

/** Workers that are kept between jobs. */
export interface WorkerPool {
  /** Runs a job in a worker of its own; errors are those of `runInWorker`. */
  run<Name extends JobName>(name: Name, job: JobOf<Name>, run: WorkerRun): Promise<ResultOf<Name>>;
}

/** The most idle workers, and how long they are kept. */
const MOST_WAITING = 2;
const WAITING_MS = 10 * 60_000;

/** Jobs that a person waits for never stand behind builds. */
const LANES: Readonly<Record<JobName, 'short' | 'long'>> = {
  read: 'short',
  font: 'short',
  build: 'long',
  prove: 'long',
};

/** The most jobs of a lane that wait; more are refused at once. */
const MOST_PENDING = 100;
const TOO_MANY = new Refusal(503, 'Too many files are being read at the moment; try again in a minute.');

/**
 * A pool whose workers wait for the next job: warm code is several times as fast. As many short jobs run at once
 * as the machine has cores, and one long job; further ones wait their turn. A worker that was aborted, failed or
 * ran out of memory is ended.
 * @param start creates a worker that answers each task with messages
 */
export function createWorkerPool(start: () => Worker): WorkerPool {
  const waiting = new Map<Worker, NodeJS.Timeout>();
  const lanes = { short: pLimit(availableParallelism()), long: pLimit(1) };

  const hire = (): Worker => {
    const worker = start();
    const leave = () => {
      clearTimeout(waiting.get(worker));
      waiting.delete(worker);
    };
    // During a job, only the job's own listeners hear errors.
    return worker.on('error', leave).on('exit', leave);
  };

  const call = (): Worker | null => {
    const [worker] = [...waiting.keys()].slice(-1);
    if (!worker) return null;
    clearTimeout(waiting.get(worker));
    waiting.delete(worker);
    worker.ref();
    return worker;
  };

  const release = (worker: Worker): void => {
    if (waiting.size >= MOST_WAITING) {
      void worker.terminate();
      return;
    }
    // An idle worker does not keep the process alive.
    worker.unref();
    waiting.set(worker, setTimeout(() => void worker.terminate(), WAITING_MS).unref());
  };

  const work = async <Name extends JobName>(
    worker: Worker,
    task: WorkerTask<Name>,
    run: WorkerRun,
  ): Promise<ResultOf<Name>> => {
    try {
      const result = await runInWorker(worker, task, run);
      release(worker);
      return result;
    } catch (error) {
      if (error instanceof ReadError) release(worker);
      else await worker.terminate();
      throw error;
    }
  };

  const attempt = async <Name extends JobName>(
    name: Name,
    job: JobOf<Name>,
    run: WorkerRun,
  ): Promise<ResultOf<Name>> => {
    const anew = () => {
      run.signal?.throwIfAborted();
      return work(hire(), { name, job }, run);
    };
    run.signal?.throwIfAborted();
    const warm = call();
    if (!warm) return anew();
    try {
      return await work(warm, { name, job }, run);
    } catch (error) {
      // Memory left by earlier jobs may have caused it, so the job runs once more in a new worker.
      if (error === TOO_MUCH_MEMORY) return anew();
      throw error;
    }
  };

  return {
    async run(name, job, run) {
      const lane = lanes[LANES[name]];
      if (lane.pendingCount >= MOST_PENDING) throw TOO_MANY;
      // The time of a job begins when its worker begins.
      return lane(() => attempt(name, job, run));
    },
  };
}
