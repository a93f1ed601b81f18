import { TARGETS } from '../../core/emit/targets';
import { randomUUID } from 'node:crypto';
import { readingReport, type ReadingReport } from '../../core/sort/report/readingReport';
import { inTransaction, pool } from '../db/pool';
import { getBlob } from '../db/tables/blobs';
import { getMockup } from '../db/tables/mockups';
import { newestRevision } from '../db/tables/revisions';
import { NOT_FOUND } from '../http';
import { currentTags } from './currentTags';
import { readBytes } from './readFile';
import { addRevision, storeReading } from './storeReading';

export interface ReviewedMockup {
  readonly name: string;
  readonly fileName: string;
  readonly report: ReadingReport;
}

/** The report on the newest reading of a mockup, with its current tags. */
export async function reviewMockup(id: string): Promise<ReviewedMockup> {
  const db = pool();
  const [mockup, revision] = [await getMockup(db, id), await newestRevision(db, id)];
  if (!mockup || !revision) throw NOT_FOUND('This mockup');
  const { capabilities } = TARGETS.html;
  const report = readingReport(revision.tree, revision.findings, await currentTags(db, id), capabilities);
  return { name: mockup.name, fileName: revision.file_name, report };
}

/** Reads the newest revision's file again as a revision of its own, after a font was added. */
export async function rereadMockup(id: string, signal: AbortSignal): Promise<ReviewedMockup> {
  const revision = await newestRevision(pool(), id);
  const bytes = revision && (await getBlob(pool(), revision.source_digest));
  if (!revision || !bytes) throw NOT_FOUND('This mockup');
  const reading = await readBytes(randomUUID(), revision.file_name, bytes, signal);
  await inTransaction(async (client) =>
    addRevision(client, id, await storeReading(client, revision.file_name, bytes, reading), 'fonts'),
  );
  return reviewMockup(id);
}
