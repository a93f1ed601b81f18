import { inTransaction, pool } from '../db/pool';
import { getBlob, putBlob } from '../db/tables/blobs';
import * as builds from '../db/tables/builds';
import * as proofs from '../db/tables/proofs';
import { getRevision, revisionAssets } from '../db/tables/revisions';
import { proveInWorker } from '../workers/workers';

/** Holds a finished build against its mockup. Figures and pictures are kept all at once, or not at all. */
export async function runProof(buildId: string): Promise<void> {
  const db = pool();
  const build = await builds.getBuild(db, buildId);
  const revision = build && (await getRevision(db, build.revision_id));
  if (build?.state !== 'done' || !revision || !(await proofs.startProof(db, buildId))) return;
  try {
    const source = await getBlob(db, revision.source_digest);
    if (!source) throw new Error('The mockup file is not kept any more.');
    const { screens, pictures } = await proveInWorker({
      mockup: revision.tree,
      assets: await revisionAssets(db, revision.id),
      tags: new Map(Object.entries(build.tags)),
      options: build.options,
      source,
      files: (await builds.buildFiles(db, buildId)).map((file) => ({
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
