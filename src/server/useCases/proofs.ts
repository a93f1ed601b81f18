import { pool } from '../db/pool';
import { getBuild } from '../db/tables/builds';
import * as proofs from '../db/tables/proofs';
import { NOT_FOUND, Refusal } from '../http';
import { queueProof } from '../jobs/buildQueue';
import { stopRunning } from '../jobs/running';

export type ProofView = Omit<proofs.ProofRow, 'build_id'>;

/** The proof of a build, with its progress. */
export async function getProofView(buildId: string): Promise<ProofView> {
  const row = await proofs.getProof(pool(), buildId);
  if (!row) throw NOT_FOUND('The proof of this build');
  const { build_id: _, ...view } = row;
  return view;
}

/** Requests the proof of a build that has none, or whose proof failed. */
export async function orderProof(buildId: string): Promise<ProofView> {
  const build = await getBuild(pool(), buildId);
  if (!build) throw NOT_FOUND('This build');
  if (build.state !== 'done') throw new Refusal(409, 'This build is not done; a proof needs its page.');
  await queueProof(buildId);
  return getProofView(buildId);
}

/** Stops a proof that waits or runs. */
export async function cancelProof(buildId: string): Promise<ProofView> {
  if (!(await proofs.cancelProof(pool(), buildId))) throw new Refusal(409, 'This proof has ended already.');
  stopRunning(`proof ${buildId}`);
  return getProofView(buildId);
}

export async function getProofPicture(buildId: string, path: string): Promise<Uint8Array> {
  const bytes = await proofs.proofPicture(pool(), buildId, path);
  if (!bytes) throw NOT_FOUND(`The picture ${path}`);
  return bytes;
}
