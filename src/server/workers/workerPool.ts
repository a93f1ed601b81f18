import { availableParallelism } from 'node:os';
import workerpool, { type Pool } from 'workerpool';
import { ReadError } from '../../core/read/readError';
import { Refusal } from '../http';
import type { JobName, JobOf, ResultOf } from './jobs';
import type { Answer, WorkerEvent } from './worker';

/**
 * Work of one kind of urgency: what a person waits for never stands behind builds, and a small build never behind a
 * large one. Drawings and pictures have a process of their own, which keeps the mockup from one to the next.
 */
export type Lane = 'short' | 'drawing' | 'pictures' | 'build' | 'largeBuild';

/** The most processes of a lane. */
const PROCESSES: Readonly<Record<Lane, number>> = {
  short: availableParallelism(),
  drawing: 1,
  pictures: 1,
  build: 1,
  largeBuild: 1,
};

export interface WorkerRun {
  readonly lane: Lane;
  /** Counted from the beginning of the work. */
  readonly timeoutMs: number;
  readonly tooLong: string;
  readonly onProgress?: (done: number, total: number) => void;
  /** Called with the number of jobs that stand before this one, whenever it changes; with 0 when it begins. */
  readonly onPlace?: (before: number) => void;
  readonly signal?: AbortSignal;
}

/** Processes that are kept between jobs. */
export interface WorkerPool {
  /**
   * Runs a job in a process of its own, until it is aborted or takes too long.
   * @throws ReadError for a file that the job refuses
   * @throws Refusal when it takes too long, needs too much memory, or too many jobs wait
   */
  run<Name extends JobName>(name: Name, job: JobOf<Name>, run: WorkerRun): Promise<ResultOf<Name>>;
  /** Ends all processes. */
  close(): Promise<void>;
}

/** The most jobs of a lane that wait; more are refused at once. */
const MOST_WAITING = 100;
const TOO_MANY = new Refusal(503, 'Too many files are being worked on at the moment; try again in a minute.');
const TOO_MUCH_MEMORY = new Refusal(
  422,
  'The file needs more memory than Orden gives to one; split the mockup or shrink its bitmaps.',
);

/** How long processes without work are kept: a warm one is several times as fast. */
const KEPT_MS = 10 * 60_000;

interface LaneState {
  readonly pool: Pool;
  /** The waiting jobs, in order, with what they are told. */
  readonly waiting: Map<symbol, WorkerRun['onPlace']>;
  idle?: NodeJS.Timeout;
}

/**
 * A pool of processes for each lane. Processes can be ended at any moment, whatever native code they are in.
 * @param script the program of a worker, which registers every job by its name
 * @param heapMb the most memory of a worker's JavaScript heap
 */
export function createWorkerPool(script: string, heapMb: number): WorkerPool {
  const lanes = new Map<Lane, LaneState>();

  const open = (lane: Lane): LaneState => {
    const opened: LaneState = lanes.get(lane) ?? {
      waiting: new Map(),
      pool: workerpool.pool(script, {
        workerType: 'process',
        maxWorkers: PROCESSES[lane],
        // A process that does not end by itself is killed after that time.
        workerTerminateTimeout: 200,
        emitStdStreams: true,
        forkOpts: {
          serialization: 'advanced',
          execArgv: [`--max-old-space-size=${heapMb}`],
          // Fewer arenas leave less memory behind a large file (mallopt(3), M_ARENA_MAX).
          env: { ...process.env, MALLOC_ARENA_MAX: '2' },
        },
      }),
    };
    clearTimeout(opened.idle);
    lanes.set(lane, opened);
    return opened;
  };

  const release = (lane: Lane, state: LaneState): void => {
    const { busyWorkers, pendingTasks } = state.pool.stats();
    if (busyWorkers > 0 || pendingTasks > 0) return;
    clearTimeout(state.idle);
    state.idle = setTimeout(() => {
      lanes.delete(lane);
      void state.pool.terminate();
    }, KEPT_MS).unref();
  };

  const attempt = async <Name extends JobName>(
    state: LaneState,
    name: Name,
    job: JobOf<Name>,
    { timeoutMs, onProgress, onPlace, signal }: WorkerRun,
  ): Promise<ResultOf<Name>> => {
    const { pool, waiting } = state;
    const self = Symbol(name);
    const leave = () => {
      if (waiting.delete(self)) [...waiting.values()].forEach((tell, at) => tell?.(at + 1));
    };
    const hear = (event: WorkerEvent | StandardOutput) => {
      if (!('kind' in event)) return log(name, event);
      if (event.kind === 'progress') return onProgress?.(event.done, event.total);
      leave();
      onPlace?.(0);
    };
    waiting.set(self, onPlace);
    const busy = pool.stats().busyWorkers === pool.maxWorkers;
    const running = pool.exec(name, [job], { on: hear });
    if (busy) onPlace?.(waiting.size);
    const cancel = () => void running.cancel();
    signal?.addEventListener('abort', cancel);
    try {
      const answer = (await running.timeout(timeoutMs)) as Answer<ResultOf<Name>>;
      if (answer.kind === 'refused') throw new ReadError(answer.code, answer.data);
      return answer.result;
    } finally {
      leave();
      signal?.removeEventListener('abort', cancel);
    }
  };

  return {
    async run(name, job, run) {
      run.signal?.throwIfAborted();
      const state = open(run.lane);
      if (state.pool.stats().pendingTasks >= MOST_WAITING) throw TOO_MANY;
      try {
        return await attempt(state, name, job, run).catch((error: unknown) => {
          // Memory left by earlier jobs may have ended the process, so the job runs once more in a new one.
          if (!isEndOfProcess(error) || run.signal?.aborted) throw error;
          return attempt(state, name, job, run);
        });
      } catch (error) {
        run.signal?.throwIfAborted();
        throw refusalOf(error, run.tooLong);
      } finally {
        release(run.lane, state);
      }
    },
    async close() {
      const all = [...lanes.values()];
      lanes.clear();
      await Promise.all(all.map(({ pool, idle }) => (clearTimeout(idle), pool.terminate(true))));
    },
  };
}

/** What a process prints. */
interface StandardOutput {
  readonly stdout?: string;
  readonly stderr?: string;
}

/** The most letters of a print that the server's log keeps: a crash prints its whole stack. */
const MOST_LOGGED = 400;

function log(name: JobName, { stdout = '', stderr = stdout }: StandardOutput): void {
  const text = stderr.trim();
  if (text !== '') console.warn(`${name}: ${text.slice(0, MOST_LOGGED)}`);
}

function isEndOfProcess(error: unknown): boolean {
  return (
    error instanceof workerpool.TerminateError || (error instanceof Error && /terminated/.test(error.message))
  );
}

function refusalOf(error: unknown, tooLong: string): unknown {
  if (error instanceof workerpool.Promise.TimeoutError) return new Refusal(422, tooLong);
  return isEndOfProcess(error) ? TOO_MUCH_MEMORY : error;
}
