import { orderProof } from '../db/tables/proofs';
import { inTransaction, pool } from '../db/pool';
import { putBlob } from '../db/tables/blobs';
import * as builds from '../db/tables/builds';
import { buildInput } from '../useCases/buildInput';
import { buildInWorker } from '../workers/workers';
import { reporter } from './progress';
import { beginRunning, endRunning, MOST_ATTEMPTS } from './running';

/**
 * Runs a build from its record; true when it finished. Its files are stored all at once at the end, or not at
 * all.
 */
export async function runBuild(id: string): Promise<boolean> {
  const db = pool();
  const build = await builds.getBuild(db, id);
  const attempts = build && (await builds.startBuild(db, id));
  if (!build || attempts === null) return false;
  const { signal } = beginRunning(id);
  try {
    // An error of the work ends the build at once, so only what ended the server comes back.
    if (attempts > MOST_ATTEMPTS) throw new Error(GIVEN_UP);
    const input = await buildInput(db, build);
    if (!input) throw new Error('The revision of this build is not kept any more; build again.');
    const { files, result, record } = await buildInWorker(input.job, input.revision.layer_count, {
      signal,
      onProgress: reporter(id, (done, total) => builds.noteProgress(pool(), id, done, total)),
    });
    return await inTransaction(async (client) => {
      const digest = await putBlob(client, record);
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

const GIVEN_UP =
  'This build was begun three times, and Orden stopped each time before it was done; build again, or split the mockup.';
