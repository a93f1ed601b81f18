import { randomUUID } from 'node:crypto';
import type { ReadingReport } from '../../core/sort/report/readingReport';
import { inTransaction, pool } from '../db/pool';
import { getBlob } from '../db/tables/blobs';
import { getMockup } from '../db/tables/mockups';
import { newestRevision, newestRevisionText } from '../db/tables/revisions';
import { NOT_FOUND } from '../http';
import { reportInWorker } from '../workers/workers';
import { currentTags } from './currentTags';
import { addedFonts, type AddedFont } from './fonts';
import { readBytes } from './readFile';
import { addRevision, storeReading } from './storeReading';

export interface ReviewedMockup {
  readonly name: string;
  readonly fileName: string;
  readonly projectId: string;
  readonly addedFonts: readonly AddedFont[];
  readonly report: ReadingReport;
}

/** The report on the newest reading of a mockup with its current tags, a `ReviewedMockup` as JSON. */
export async function reviewMockup(id: string): Promise<string> {
  const db = pool();
  const [mockup, revision] = [await getMockup(db, id), await newestRevisionText(db, id)];
  if (!mockup || !revision) throw NOT_FOUND('This mockup');
  const { tree, findings, file_name: fileName } = revision;
  const report = await reportInWorker({ tree, findings, tags: [...(await currentTags(db, id))] });
  const fonts = await addedFonts(db, mockup.project_id);
  const { project: name, project_id: projectId } = mockup;
  return `{"report":${report},${JSON.stringify({ name, fileName, projectId, addedFonts: fonts }).slice(1)}`;
}

/** Reads the newest revision's file again as a revision of its own, after its fonts changed. */
export async function rereadMockup(id: string, signal: AbortSignal): Promise<string> {
  const db = pool();
  const [mockup, revision] = [await getMockup(db, id), await newestRevision(db, id)];
  const bytes = revision && (await getBlob(db, revision.source_digest));
  if (!mockup || !revision || !bytes) throw NOT_FOUND('This mockup');
  const reading = await readBytes(randomUUID(), mockup.project_id, revision.file_name, bytes, signal);
  await inTransaction(async (client) =>
    addRevision(client, id, await storeReading(client, revision.file_name, bytes, reading), 'fonts'),
  );
  return reviewMockup(id);
}
