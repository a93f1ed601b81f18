import { inTransaction, pool, type Queryable } from '../db/pool';
import { getBlob, putBlob } from '../db/tables/blobs';
import { buildFiles, getBuild, type BuildRow } from '../db/tables/builds';
import * as proofs from '../db/tables/proofs';
import { getMockup } from '../db/tables/mockups';
import { getRevision, type RevisionRow } from '../db/tables/revisions';
import { getBuildRecord } from '../useCases/buildRecords';
import type { ProofSheet } from '../../engine/proof/proof';
import { writtenThemes } from '../../core/style/themes/writtenThemes';
import { buildInput } from '../useCases/buildInput';
import type { Themed } from '../workers/proofJob';
import { proveInWorker } from '../workers/workers';
import { reporter } from './progress';
import { beginRunning, endRunning, MOST_ATTEMPTS } from './running';

/** Runs the proof of a finished build. Figures and pictures are stored all at once, or not at all. */
export async function runProof(buildId: string): Promise<void> {
  const db = pool();
  const build = await getBuild(db, buildId);
  if (build?.state !== 'done') return;
  const attempts = await proofs.startProof(db, buildId);
  if (attempts === null) return;
  const running = `proof ${buildId}`;
  const { signal } = beginRunning(running);
  try {
    if (attempts > MOST_ATTEMPTS) throw new Error(GIVEN_UP);
    const revision = await getRevision(db, build.revision_id);
    if (!revision) throw new Error(NOT_KEPT);
    const { screens, pictures } = await proveInWorker(
      {
        record: await getBuildRecord(buildId, db),
        sheet: await proofSheetOf(db, build, revision),
        themed: await themedOf(db, build),
        files: (await buildFiles(db, buildId)).map((file) => ({
          ...file,
          bytes: new Uint8Array(file.bytes),
        })),
      },
      revision.layer_count,
      {
        signal,
        onProgress: reporter(running, (done, total) => proofs.noteProof(db, buildId, done, total)),
      },
    );
    await inTransaction(async (client) => {
      for (const { path, bytes } of pictures)
        await proofs.insertProofPicture(client, buildId, path, await putBlob(client, bytes));
      await proofs.finishProof(client, buildId, screens);
    });
  } catch (error) {
    await proofs.failProof(db, buildId, error instanceof Error ? error.message : String(error));
  } finally {
    endRunning(running);
  }
}

const GIVEN_UP = 'This proof was begun three times, and Orden stopped each time before it was done.';
const NOT_KEPT = 'The mockup file is not kept any more.';

/** What the screens are drawn from in the themes of a build; null for a build without themes. */
async function themedOf(db: Queryable, build: BuildRow): Promise<Themed | null> {
  const themes = writtenThemes(build.options);
  const input = themes.length === 0 ? null : await buildInput(db, build);
  if (!input) return null;
  const { tree, assets, tags } = input.job;
  return { tree, assets, tags, themes };
}

/** An SVG is compared as it was given, any other file by the picture that was drawn when it was read. */
async function proofSheetOf(
  db: Queryable,
  { mockup_id, result }: BuildRow,
  revision: RevisionRow,
): Promise<ProofSheet> {
  const isSvg = (await getMockup(db, mockup_id))?.format === 'svg';
  const svg = await getBlob(db, isSvg ? revision.source_digest : revision.picture_digest);
  if (!svg || !result) throw new Error(NOT_KEPT);
  return { svg, ...result.sheet };
}
