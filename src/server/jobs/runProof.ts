import { inTransaction, pool } from '../db/pool';
import { getBlob, putBlob } from '../db/tables/blobs';
import { buildFiles } from '../db/tables/builds';
import * as proofs from '../db/tables/proofs';
import { buildInput } from '../useCases/buildInput';
import { proveInWorker } from '../workers/workers';

/** Runs the proof of a finished build. Figures and pictures are stored all at once, or not at all. */
export async function runProof(buildId: string): Promise<void> {
  const db = pool();
  const known = await buildInput(db, buildId);
  if (known?.build.state !== 'done' || !(await proofs.startProof(db, buildId))) return;
  try {
    const source = await getBlob(db, known.revision.source_digest);
    if (!source) throw new Error('The mockup file is not kept any more.');
    const { screens, pictures } = await proveInWorker({
      ...known.input,
      source,
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
