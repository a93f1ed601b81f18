import type { Worker } from 'node:worker_threads';
import type { FindingData } from '../../core/findings/finding';
import { ReadError, type RefusalCode } from '../../core/read/readError';
import { Refusal } from '../http';
import type { JobName, JobOf, ResultOf } from './jobs';

/** A task for a worker. */
export interface WorkerTask<Name extends JobName> {
  readonly name: Name;
  readonly job: JobOf<Name>;
}

/** A message of a worker to the thread that started it. */
export type WorkerMessage<Result> =
  | { readonly kind: 'progress'; readonly done: number; readonly total: number }
  | { readonly kind: 'result'; readonly result: Result }
  | { readonly kind: 'refused'; readonly code: RefusalCode; readonly data: FindingData }
  | { readonly kind: 'failed'; readonly message: string };

export interface WorkerRun {
  readonly timeoutMs: number;
  readonly tooLong: string;
  readonly onProgress?: (done: number, total: number) => void;
  readonly signal?: AbortSignal;
}

/** The job needs more memory than one worker has. */
export const TOO_MUCH_MEMORY = new Refusal(
  422,
  'The file needs more memory than Orden gives to one; split the mockup or shrink its bitmaps.',
);

function isOutOfMemory(error: Error): boolean {
  return 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY';
}

/**
 * Runs a task in a worker and waits for its result, until it is aborted or takes too long. After any error
 * but a refusal the worker may be broken.
 * @throws ReadError for a file that the worker refuses
 * @throws Refusal when it takes too long or needs too much memory
 */
export async function runInWorker<Name extends JobName>(
  worker: Worker,
  task: WorkerTask<Name>,
  { timeoutMs, tooLong, onProgress, signal }: WorkerRun,
): Promise<ResultOf<Name>> {
  const over = new AbortController();
  try {
    return await new Promise<ResultOf<Name>>((resolve, reject) => {
      const timer = setTimeout(() => reject(new Refusal(422, tooLong)), timeoutMs);
      over.signal.addEventListener('abort', () => clearTimeout(timer));
      signal?.addEventListener('abort', () => reject(signal.reason), { signal: over.signal });
      const hear = {
        message: (message: WorkerMessage<ResultOf<Name>>) => {
          if (message.kind === 'progress') onProgress?.(message.done, message.total);
          else if (message.kind === 'result') resolve(message.result);
          else if (message.kind === 'refused') reject(new ReadError(message.code, message.data));
          else reject(new Error(message.message));
        },
        error: (error: Error) => reject(isOutOfMemory(error) ? TOO_MUCH_MEMORY : error),
        exit: () => reject(TOO_MUCH_MEMORY),
      };
      for (const [event, listener] of Object.entries(hear)) {
        worker.on(event, listener);
        over.signal.addEventListener('abort', () => worker.off(event, listener));
      }
      worker.postMessage(task);
    });
  } finally {
    over.abort();
  }
}
