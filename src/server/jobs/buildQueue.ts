import PgBoss from 'pg-boss';
import { pool, type Queryable } from '../db/pool';
import { layersOfBuild, unfinishedBuilds } from '../db/tables/builds';
import { orderProof, unfinishedProofs } from '../db/tables/proofs';
import { isLarge } from '../workers/workers';
import { runBuild } from './runBuild';
import { runProof } from './runProof';

/** Large mockups have queues of their own, so that a small build never waits for a large one. */
const QUEUES = {
  build: { usual: 'build', large: 'build-large' },
  proof: { usual: 'proof', large: 'proof-large' },
} as const;

interface Order {
  /** Of the build. */
  readonly id: string;
}

const shared = globalThis as { ordenBoss?: Promise<PgBoss> };

async function startBoss(): Promise<PgBoss> {
  const boss = new PgBoss({ connectionString: process.env.DATABASE_URL ?? '', max: 3 });
  boss.on('error', (error) => console.error(error));
  await boss.start();
  const work = async (queues: Readonly<Record<string, string>>, run: (id: string) => Promise<void>) => {
    for (const queue of Object.values(queues)) {
      await boss.createQueue(queue);
      await boss.work<Order>(queue, { batchSize: 1, pollingIntervalSeconds: 0.5 }, async ([job]) => {
        if (job) await run(job.data.id);
      });
    }
  };
  await work(QUEUES.build, async (id) => {
    if (await runBuild(id)) await sendProof(boss, id);
  });
  await work(QUEUES.proof, runProof);
  return boss;
}

/**
 * Starts this process as a worker of the queue, and sends anew what was under way when the server stopped:
 * nothing else runs it.
 */
export async function startJobs(): Promise<void> {
  const started = await boss();
  const db = pool();
  for (const id of await unfinishedBuilds(db))
    if (!(await isQueued(db, 'build', id))) await send(started, 'build', id);
  for (const id of await unfinishedProofs(db))
    if (!(await isQueued(db, 'proof', id))) await send(started, 'proof', id);
}

/** True for an order that waits in the queue; one that a dead process took is not. */
async function isQueued(db: Queryable, kind: keyof typeof QUEUES, id: string): Promise<boolean> {
  const { rowCount } = await db.query(
    `select 1 from pgboss.job where name = any($1) and data ->> 'id' = $2 and state in ('created', 'retry')`,
    [Object.values(QUEUES[kind]), id],
  );
  return (rowCount ?? 0) > 0;
}

/** The queue in PostgreSQL. The process is one of its workers from the first call on. */
function boss(): Promise<PgBoss> {
  shared.ordenBoss ??= startBoss().catch((error: unknown) => {
    // The database may be away for now: the next order starts the queue.
    delete shared.ordenBoss;
    throw error;
  });
  return shared.ordenBoss;
}

/** If the process that takes the order dies, another one takes it up. */
async function send(boss: PgBoss, kind: keyof typeof QUEUES, id: string): Promise<void> {
  const { usual, large } = QUEUES[kind];
  const queue = isLarge(await layersOfBuild(pool(), id)) ? large : usual;
  await boss.send(queue, { id } satisfies Order, { retryLimit: 2, expireInMinutes: 10 });
}

export async function queueBuild(id: string): Promise<void> {
  await send(await boss(), 'build', id);
}

async function sendProof(boss: PgBoss, id: string): Promise<void> {
  await orderProof(pool(), id);
  await send(boss, 'proof', id);
}

/** Queues the proof of a build. */
export async function queueProof(id: string): Promise<void> {
  await sendProof(await boss(), id);
}
