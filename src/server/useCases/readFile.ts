import Joi from 'joi';
import type { ReadingReport } from '../../core/sort/report/readingReport';
import { inTransaction, pool } from '../db/pool';
import { getBlob } from '../db/tables/blobs';
import { loadFonts } from '../db/tables/fonts';
import {
  getReading,
  getWholeReading,
  putReading,
  type ReadingRow,
  type WholeReadingRow,
} from '../db/tables/readings';
import { NOT_FOUND, Refusal } from '../http';
import { endReading, setReadingProgress } from '../jobs/readingProgress';
import type { PackedReading } from '../workers/packReading';
import { readInWorker } from '../workers/workers';
import { addedFonts, type AddedFont } from './fonts';
import { storeReading } from './storeReading';

/** A reading that is not on the shelf yet, with its report. */
export interface ReadingView {
  readonly id: string;
  readonly fileName: string;
  readonly name: string;
  readonly addedFonts: readonly AddedFont[];
  readonly report: ReadingReport;
}

export const readingSchema = Joi.object<{ readonly name: string; readonly id?: string }>({
  name: Joi.string().max(200).truncate().empty('').default('mockup.svg'),
  id: Joi.string().max(200),
});

/**
 * Reads a file and stores the reading until it is put on the shelf or removed; gives a `ReadingView` as JSON. An
 * aborted request stores nothing.
 */
export async function readFile(
  id: string,
  fileName: string,
  bytes: Uint8Array,
  signal: AbortSignal,
): Promise<string> {
  const packed = await readBytes(id, id, fileName, bytes, signal);
  signal.throwIfAborted();
  const kept = await inTransaction(async (client) => {
    const stored = await storeReading(client, fileName, bytes, packed);
    const row = {
      id,
      file_name: stored.fileName,
      source_digest: stored.sourceDigest,
      picture_digest: stored.pictureDigest,
      tree: stored.tree,
      findings: stored.findings,
      layer_count: stored.layerCount,
      layer_ids: stored.layerIds,
      assets: stored.assets,
      report: packed.report,
    };
    if (!(await putReading(client, row)))
      throw new Refusal(409, 'This reading is one of another file; read the file anew.');
    return row;
  });
  return viewOf({ ...kept, name: packed.name });
}

/** Reads the stored file again, after its fonts changed. */
export async function readAgain(id: string, signal: AbortSignal): Promise<string> {
  const row = await requireReading(id);
  const bytes = await getBlob(pool(), row.source_digest);
  if (!bytes) throw NOT_FOUND('This reading');
  return readFile(id, row.file_name, bytes, signal);
}

/** A `ReadingView` as JSON. */
export async function getReadingView(id: string): Promise<string> {
  const row = await getWholeReading(pool(), id);
  if (!row) throw NOT_FOUND('This reading');
  return viewOf(row);
}

export async function readingPicture(id: string): Promise<Uint8Array> {
  const bytes = await getBlob(pool(), (await requireReading(id)).picture_digest);
  if (!bytes) throw NOT_FOUND('This reading');
  return bytes;
}

/**
 * Reads in a worker with the added fonts of a project or a reading. The progress is available under `id`.
 * @param owner whose fonts
 */
export async function readBytes(
  id: string,
  owner: string,
  fileName: string,
  bytes: Uint8Array,
  signal: AbortSignal,
): Promise<PackedReading> {
  const fonts = await loadFonts(pool(), owner);
  setReadingProgress(id, { done: 0, total: 0, before: 0 });
  try {
    return await readInWorker(
      { bytes, fileName, fonts },
      {
        signal,
        onProgress: (done, total) => setReadingProgress(id, { done, total, before: 0 }),
        onPlace: (before) => setReadingProgress(id, { done: 0, total: 0, before }),
      },
    );
  } finally {
    endReading(id);
  }
}

async function requireReading(id: string): Promise<ReadingRow> {
  const row = await getReading(pool(), id);
  if (!row) throw NOT_FOUND('This reading');
  return row;
}

async function viewOf({
  id,
  file_name: fileName,
  name,
  report,
}: Pick<WholeReadingRow, 'id' | 'file_name' | 'name' | 'report'>): Promise<string> {
  const fonts = await addedFonts(pool(), id);
  return `{"report":${report},${JSON.stringify({ id, fileName, name, addedFonts: fonts }).slice(1)}`;
}
