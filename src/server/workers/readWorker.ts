import { parentPort, workerData } from 'node:worker_threads';
import { ReadError } from '../../core/read/readError';
import type { GivenFont } from '../../core/type/fontBook';
import { createFontBook } from '../../engine/fonts/fontBook';
import { readWithPicture, type ReadWithPicture } from '../../engine/readWithPicture';
import type { WorkerMessage } from './runWorker';

export interface ReadJob {
  readonly bytes: Uint8Array;
  readonly fileName: string;
  readonly fonts: readonly GivenFont[];
}

function say(message: WorkerMessage<ReadWithPicture>): void {
  parentPort?.postMessage(message);
}

async function readJob({ bytes, fileName, fonts }: ReadJob): Promise<void> {
  try {
    const book = createFontBook();
    const onProgress = (done: number, total: number) => say({ kind: 'progress', done, total });
    say({ kind: 'result', result: await readWithPicture(bytes, fileName, { book, fonts, onProgress }) });
  } catch (error) {
    if (error instanceof ReadError) say({ kind: 'refused', code: error.code, data: error.data });
    else say({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
  }
}

void readJob(workerData as ReadJob);
