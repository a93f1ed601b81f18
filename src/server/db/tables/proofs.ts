import type { Queryable } from '../pool';
import type { ProofScreen, ProofState } from '../../proofTypes';

export interface ProofRow {
  readonly build_id: string;
  readonly state: ProofState;
  readonly problem: string | null;
  readonly screens: readonly ProofScreen[] | null;
  /** Screens that are compared, and all of them; 0 before it is known. */
  readonly done: number;
  readonly total: number;
}

const ORDER = `
  insert into proofs (build_id) values ($1)
  on conflict (build_id) do update set state = 'waiting', problem = null, attempts = 0, done = 0, total = 0
   where proofs.state in ('failed', 'cancelled')`;
const SELECT = 'select build_id, state, problem, screens, done, total from proofs where build_id = $1';
const START = `
  update proofs set state = 'running', attempts = attempts + 1
   where build_id = $1 and state in ('waiting', 'running') returning attempts`;
const FINISH = `update proofs set state = 'done', screens = $2 where build_id = $1 and state = 'running'`;
const FAIL = `update proofs set state = 'failed', problem = $2 where build_id = $1 and state = 'running'`;
const PROGRESS = `
  update proofs set done = $2, total = $3 where build_id = $1 and state = 'running' returning build_id`;
const CANCEL = `update proofs set state = 'cancelled' where build_id = $1 and state in ('waiting', 'running')`;
const UNFINISHED = `select build_id from proofs where state in ('waiting', 'running') order by build_id`;
const INSERT_PICTURE = `
  insert into proof_pictures (build_id, path, digest) values ($1, $2, $3)
  on conflict (build_id, path) do update set digest = excluded.digest`;
const PICTURE = `
  select b.bytes from proof_pictures p join blobs b on b.digest = p.digest where p.build_id = $1 and p.path = $2`;

/** Requests a proof; one that failed is requested again. */
export async function orderProof(db: Queryable, buildId: string): Promise<void> {
  await db.query(ORDER, [buildId]);
}

/** The builds whose proofs wait or were under way, the oldest first. */
export async function unfinishedProofs(db: Queryable): Promise<readonly string[]> {
  const { rows } = await db.query<{ build_id: string }>(UNFINISHED);
  return rows.map(({ build_id }) => build_id);
}

export async function getProof(db: Queryable, buildId: string): Promise<ProofRow | null> {
  const { rows } = await db.query<ProofRow>(SELECT, [buildId]);
  return rows[0] ?? null;
}

/** How often the proof was begun, with this time; null when it has ended already. */
export async function startProof(db: Queryable, buildId: string): Promise<number | null> {
  const { rows } = await db.query<{ attempts: number }>(START, [buildId]);
  return rows[0]?.attempts ?? null;
}

/** Records the progress of a proof; false when it was stopped meanwhile. */
export async function noteProof(
  db: Queryable,
  buildId: string,
  done: number,
  total: number,
): Promise<boolean> {
  const { rowCount } = await db.query(PROGRESS, [buildId, done, total]);
  return rowCount === 1;
}

export async function cancelProof(db: Queryable, buildId: string): Promise<boolean> {
  const { rowCount } = await db.query(CANCEL, [buildId]);
  return rowCount === 1;
}

export async function finishProof(
  db: Queryable,
  buildId: string,
  screens: readonly ProofScreen[],
): Promise<void> {
  await db.query(FINISH, [buildId, JSON.stringify(screens)]);
}

export async function failProof(db: Queryable, buildId: string, problem: string): Promise<void> {
  await db.query(FAIL, [buildId, problem]);
}

export async function insertProofPicture(
  db: Queryable,
  buildId: string,
  path: string,
  digest: string,
): Promise<void> {
  await db.query(INSERT_PICTURE, [buildId, path, digest]);
}

export async function proofPicture(db: Queryable, buildId: string, path: string): Promise<Uint8Array | null> {
  const { rows } = await db.query<{ bytes: Buffer }>(PICTURE, [buildId, path]);
  return rows[0]?.bytes ?? null;
}
