import { inTransaction, pool, type Queryable } from '../db/pool';
import { getBlob, putBlob } from '../db/tables/blobs';
import { buildFiles, getBuild, type BuildRow } from '../db/tables/builds';
import * as proofs from '../db/tables/proofs';
import { getRevision } from '../db/tables/revisions';
import { getBuildRecord } from '../useCases/buildRecords';
import { proofSheet, type ProofSheet } from '../../engine/proof/proof';
import { proveInWorker } from '../workers/workers';

/** Runs the proof of a finished build. Figures and pictures are stored all at once, or not at all. */
export async function runProof(buildId: string): Promise<void> {
  const db = pool();
  const build = await getBuild(db, buildId);
  if (build?.state !== 'done' || !(await proofs.startProof(db, buildId))) return;
  try {
    const record = await getBuildRecord(buildId, db);
    const { screens, pictures } = await proveInWorker({
      record,
      sheet: await proofSheetOf(db, build),
      files: (await buildFiles(db, buildId)).map((file) => ({
        ...file,
        bytes: new Uint8Array(file.bytes),
      })),
    });
    await inTransaction(async (client) => {
      for (const { path, bytes } of pictures)
        await proofs.insertProofPicture(client, buildId, path, await putBlob(client, bytes));
      await proofs.finishProof(client, buildId, screens);
    });
  } catch (error) {
    await proofs.failProof(db, buildId, error instanceof Error ? error.message : String(error));
  }
}

/** An SVG is compared as it was given, any other file by the picture that was drawn when it was read. */
async function proofSheetOf(db: Queryable, { revision_id, result }: BuildRow): Promise<ProofSheet> {
  const revision = await getRevision(db, revision_id);
  const isSvg = revision?.tree.format === 'svg';
  const bytes = revision && (await getBlob(db, isSvg ? revision.source_digest : revision.picture_digest));
  if (!bytes || !result) throw new Error('The mockup file is not kept any more.');
  return proofSheet(bytes, result.sheet);
}
