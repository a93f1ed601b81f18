import type { Worker } from 'node:worker_threads';
import { ReadError, type RefusalCode } from '../../core/read/readError';
import { Refusal } from '../http';
import type { FindingData } from '../../core/findings/finding';

/** What a worker says to the thread that started it. */
export type WorkerMessage<T> =
  | { readonly kind: 'progress'; readonly done: number; readonly total: number }
  | { readonly kind: 'result'; readonly result: T }
  | { readonly kind: 'refused'; readonly code: RefusalCode; readonly data: FindingData }
  | { readonly kind: 'failed'; readonly message: string };

export interface WorkerRun {
  readonly timeoutMs: number;
  readonly tooLong: string;
  readonly onProgress?: (done: number, total: number) => void;
  readonly signal?: AbortSignal;
}

/** Memory that one worker may take: a hostile file ends its worker, never the server. */
export const WORKER_LIMITS = { maxOldGenerationSizeMb: 1024 } as const;

const TOO_MUCH_MEMORY = new Refusal(
  422,
  'The file needs more memory than Orden gives to one; split the mockup or shrink its bitmaps.',
);

function isOutOfMemory(error: Error): boolean {
  return 'code' in error && error.code === 'ERR_WORKER_OUT_OF_MEMORY';
}

/** Waits for a worker's result; ends it when it takes too long or is no longer wanted. */
export async function runWorker<T>(worker: Worker, run: WorkerRun): Promise<T> {
  let timer: NodeJS.Timeout | undefined;
  let abort: (() => void) | undefined;
  try {
    return await new Promise<T>((resolve, reject) => {
      timer = setTimeout(() => reject(new Refusal(422, run.tooLong)), run.timeoutMs);
      abort = () => reject(run.signal?.reason);
      run.signal?.addEventListener('abort', abort);
      worker.on('message', (message: WorkerMessage<T>) => {
        if (message.kind === 'progress') run.onProgress?.(message.done, message.total);
        else if (message.kind === 'result') resolve(message.result);
        else if (message.kind === 'refused') reject(new ReadError(message.code, message.data));
        else reject(new Error(message.message));
      });
      worker.on('error', (error) => reject(isOutOfMemory(error) ? TOO_MUCH_MEMORY : error));
      worker.on('exit', () => reject(TOO_MUCH_MEMORY));
    });
  } finally {
    clearTimeout(timer);
    if (abort) run.signal?.removeEventListener('abort', abort);
    await worker.terminate();
  }
}
