import Joi from 'joi';
import { TARGETS } from '../../core/emit/targets';
import { readingReport, type ReadingReport } from '../../core/sort/report/readingReport';
import type { ReadWithPicture } from '../../engine/readWithPicture';
import { inTransaction, pool } from '../db/pool';
import { getBlob } from '../db/tables/blobs';
import { addedFonts } from '../db/tables/fonts';
import { getReading, putReading, type ReadingRow } from '../db/tables/readings';
import { NOT_FOUND, Refusal } from '../http';
import { endReading, setReadingProgress } from '../jobs/readingProgress';
import { readInWorker } from '../workers/workers';
import { storeReading } from './storeReading';

/** A reading that is not on the shelf yet, with its report. */
export interface ReadingView {
  readonly id: string;
  readonly fileName: string;
  readonly name: string;
  readonly report: ReadingReport;
}

export const readingSchema = Joi.object<{ readonly name: string; readonly id?: string }>({
  name: Joi.string().max(200).truncate().empty('').default('mockup.svg'),
  id: Joi.string().max(200),
});

/**
 * Reads a file and stores the reading until it is put on the shelf or removed. An aborted request stores
 * nothing.
 */
export async function readFile(
  id: string,
  fileName: string,
  bytes: Uint8Array,
  signal: AbortSignal,
): Promise<ReadingView> {
  const reading = await readBytes(id, fileName, bytes, signal);
  signal.throwIfAborted();
  const row = await inTransaction(async (client) => {
    const stored = await storeReading(client, fileName, bytes, reading);
    const kept: ReadingRow = {
      id,
      file_name: stored.fileName,
      source_digest: stored.sourceDigest,
      picture_digest: stored.pictureDigest,
      tree: stored.tree,
      findings: stored.findings,
      layer_count: stored.layerCount,
      assets: stored.assets,
    };
    if (!(await putReading(client, kept)))
      throw new Refusal(409, 'This reading is one of another file; read the file anew.');
    return kept;
  });
  return viewOf(row);
}

/** Reads the stored file again, after a font was added. */
export async function readAgain(id: string, signal: AbortSignal): Promise<ReadingView> {
  const row = await requireReading(id);
  const bytes = await getBlob(pool(), row.source_digest);
  if (!bytes) throw NOT_FOUND('This reading');
  return readFile(id, row.file_name, bytes, signal);
}

export async function getReadingView(id: string): Promise<ReadingView> {
  return viewOf(await requireReading(id));
}

export async function readingPicture(id: string): Promise<Uint8Array> {
  const bytes = await getBlob(pool(), (await requireReading(id)).picture_digest);
  if (!bytes) throw NOT_FOUND('This reading');
  return bytes;
}

/** Reads in a worker with all added fonts. The progress is available under `id`. */
export async function readBytes(
  id: string,
  fileName: string,
  bytes: Uint8Array,
  signal: AbortSignal,
): Promise<ReadWithPicture> {
  const fonts = await addedFonts(pool());
  setReadingProgress(id, { done: 0, total: 0 });
  try {
    const onProgress = (done: number, total: number) => setReadingProgress(id, { done, total });
    return await readInWorker({ bytes, fileName, fonts }, { signal, onProgress });
  } finally {
    endReading(id);
  }
}

async function requireReading(id: string): Promise<ReadingRow> {
  const row = await getReading(pool(), id);
  if (!row) throw NOT_FOUND('This reading');
  return row;
}

function viewOf({ id, file_name: fileName, tree, findings }: ReadingRow): ReadingView {
  const report = readingReport(tree, findings, new Map(), TARGETS.html.capabilities);
  return { id, fileName, name: tree.name, report };
}
