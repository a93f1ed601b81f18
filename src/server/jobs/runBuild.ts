import { putBuildRecord } from '../useCases/buildRecords';
import { orderProof } from '../db/tables/proofs';
import { inTransaction, pool } from '../db/pool';
import { putBlob } from '../db/tables/blobs';
import * as builds from '../db/tables/builds';
import { buildInput } from '../useCases/buildInput';
import { buildInWorker } from '../workers/workers';
import { beginRunning, endRunning, stopRunning } from './runningBuilds';

/**
 * Runs a build from its record; true when it finished. Its files are stored all at once at the end, or not at
 * all.
 */
export async function runBuild(id: string): Promise<boolean> {
  const db = pool();
  const known = await buildInput(db, id);
  if (!known || !(await builds.startBuild(db, id))) return false;
  const { signal } = beginRunning(id);
  try {
    const job = { ...known.input, findings: known.revision.findings };
    const { files, result, record } = await buildInWorker(job, { signal, onProgress: reporter(id) });
    return await inTransaction(async (client) => {
      const digest = await putBuildRecord(client, record);
      if (!(await builds.finishBuild(client, id, result, digest))) return false;
      for (const file of files) {
        await builds.insertBuildFile(
          client,
          id,
          file.path,
          await putBlob(client, file.bytes),
          file.bytes.length,
        );
      }
      // In one transaction, so that no finished build is without its proof.
      await orderProof(client, id);
      return true;
    });
  } catch (error) {
    await builds.failBuild(db, id, error instanceof Error ? error.message : String(error));
    return false;
  } finally {
    endRunning(id);
  }
}

const BETWEEN_NOTES_MS = 200;

/** Records progress at intervals. A build cancelled elsewhere stops at its next record. */
function reporter(id: string): (done: number, total: number) => void {
  let last = 0;
  return (done, total) => {
    const now = Date.now();
    if (now - last < BETWEEN_NOTES_MS && done < total) return;
    last = now;
    builds.noteProgress(pool(), id, done, total).then(
      (wanted) => {
        if (!wanted) stopRunning(id);
      },
      () => undefined,
    );
  };
}
