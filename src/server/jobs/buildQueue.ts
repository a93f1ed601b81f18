import PgBoss from 'pg-boss';
import { pool, type Queryable } from '../db/pool';
import { unfinishedBuilds } from '../db/tables/builds';
import { orderProof, unfinishedProofs } from '../db/tables/proofs';
import { runBuild } from './runBuild';
import { runProof } from './runProof';

const QUEUE = 'build';
const PROOFS = 'proof';
const shared = globalThis as { ordenBoss?: Promise<PgBoss> };

async function startBoss(): Promise<PgBoss> {
  const boss = new PgBoss({ connectionString: process.env.DATABASE_URL ?? '', max: 3 });
  boss.on('error', (error) => console.error(error));
  await boss.start();
  await boss.createQueue(QUEUE);
  await boss.work<{ id: string }>(QUEUE, { batchSize: 1, pollingIntervalSeconds: 0.5 }, async ([job]) => {
    if (!job) return;
    if (await runBuild(job.data.id)) await sendProof(boss, job.data.id);
  });
  await boss.createQueue(PROOFS);
  await boss.work<{ id: string }>(PROOFS, { batchSize: 1, pollingIntervalSeconds: 0.5 }, async ([job]) => {
    if (job) await runProof(job.data.id);
  });
  return boss;
}

/**
 * Starts this process as a worker of the queue, and sends anew what was under way when the server stopped:
 * nothing else runs it.
 */
export async function startJobs(): Promise<void> {
  const started = await boss();
  const db = pool();
  for (const id of await unfinishedBuilds(db)) if (!(await isQueued(db, QUEUE, id))) await queueBuild(id);
  for (const id of await unfinishedProofs(db))
    if (!(await isQueued(db, PROOFS, id))) await sendProof(started, id);
}

/** True for an order that waits in the queue; one that a dead process took is not. */
async function isQueued(db: Queryable, queue: string, id: string): Promise<boolean> {
  const { rowCount } = await db.query(
    `select 1 from pgboss.job where name = $1 and data ->> 'id' = $2 and state in ('created', 'retry')`,
    [queue, id],
  );
  return (rowCount ?? 0) > 0;
}

/** The queue in PostgreSQL. The process is one of its workers from the first call on. */
function boss(): Promise<PgBoss> {
  shared.ordenBoss ??= startBoss();
  return shared.ordenBoss;
}

/** Queues a build. If its worker dies, another one takes it up. */
export async function queueBuild(id: string): Promise<void> {
  await (await boss()).send(QUEUE, { id }, { retryLimit: 2, expireInMinutes: 10 });
}

async function sendProof(boss: PgBoss, id: string): Promise<void> {
  await orderProof(pool(), id);
  await boss.send(PROOFS, { id }, { retryLimit: 2, expireInMinutes: 10 });
}

/** Queues the proof of a build. */
export async function queueProof(id: string): Promise<void> {
  await sendProof(await boss(), id);
}
