import { countLayers } from '../../core/sort/settle';
import { readingReport, type ReadingReport } from '../../core/sort/report/readingReport';
import type { ReadWithPicture } from '../../engine/readWithPicture';
import { inTransaction, pool, type Queryable } from '../db/pool';
import { getBlob, putBlob } from '../db/tables/blobs';
import { addedFonts } from '../db/tables/fonts';
import { getReading, putReading, removeReading, type ReadingRow } from '../db/tables/readings';
import { NOT_FOUND } from '../http';
import { endReading, noteReading } from '../jobs/readingProgress';
import { readInWorker } from '../workers/workers';

/** A reading that is not on the shelf yet, and what was found. */
export interface SeenReading {
  readonly id: string;
  readonly fileName: string;
  readonly name: string;
  readonly report: ReadingReport;
}

/** Reads a file and keeps the reading until it is put on the shelf or left. One that is stopped leaves nothing. */
export async function readFile(
  id: string,
  fileName: string,
  bytes: Uint8Array,
  signal: AbortSignal,
): Promise<SeenReading> {
  const reading = await readBytes(id, fileName, bytes, signal);
  signal.throwIfAborted();
  const row = await inTransaction(async (client) => {
    const kept = await rowOf(client, id, fileName, bytes, reading);
    await putReading(client, kept);
    return kept;
  });
  return seen(row);
}

/** Reads the kept file anew: after a font was added. */
export async function readAgain(id: string, signal: AbortSignal): Promise<SeenReading> {
  const row = await found(id);
  const bytes = await getBlob(pool(), row.source_digest);
  if (!bytes) throw NOT_FOUND('This reading');
  return readFile(id, row.file_name, bytes, signal);
}

export async function seeReading(id: string): Promise<SeenReading> {
  return seen(await found(id));
}

export async function readingPicture(id: string): Promise<Uint8Array> {
  const bytes = await getBlob(pool(), (await found(id)).picture_digest);
  if (!bytes) throw NOT_FOUND('This reading');
  return bytes;
}

export async function leaveReading(id: string): Promise<{ id: string }> {
  if (!(await removeReading(pool(), id))) throw NOT_FOUND('This reading');
  return { id };
}

/** Reads in a worker, with every font that was added; how far it is can be asked under `id`. */
export async function readBytes(
  id: string,
  fileName: string,
  bytes: Uint8Array,
  signal: AbortSignal,
): Promise<ReadWithPicture> {
  const fonts = await addedFonts(pool());
  noteReading(id, { done: 0, total: 0 });
  try {
    const onProgress = (done: number, total: number) => noteReading(id, { done, total });
    return await readInWorker({ bytes, fileName, fonts }, { signal, onProgress });
  } finally {
    endReading(id);
  }
}

async function rowOf(
  client: Queryable,
  id: string,
  fileName: string,
  bytes: Uint8Array,
  { mockup, assets, findings, picture }: ReadWithPicture,
): Promise<ReadingRow> {
  const kept: Record<string, string> = {};
  for (const [name, asset] of assets) kept[name] = await putBlob(client, asset);
  return {
    id,
    file_name: fileName,
    source_digest: await putBlob(client, bytes),
    picture_digest: await putBlob(client, new TextEncoder().encode(picture)),
    tree: mockup,
    findings,
    layer_count: countLayers(mockup),
    assets: kept,
  };
}

async function found(id: string): Promise<ReadingRow> {
  const row = await getReading(pool(), id);
  if (!row) throw NOT_FOUND('This reading');
  return row;
}

function seen({ id, file_name: fileName, tree, findings }: ReadingRow): SeenReading {
  return { id, fileName, name: tree.name, report: readingReport(tree, findings, new Map()) };
}
