import pg from 'pg';

/** The executor of a query: the pool, or a client inside a transaction. */
export type Queryable = Pick<pg.ClientBase, 'query'>;

// Kept on `globalThis`, so that a reloaded module reuses the pool of the process.
const shared = globalThis as { ordenPool?: pg.Pool };

export function pool(): pg.Pool {
  const connectionString = process.env.DATABASE_URL;
  if (!connectionString) throw new Error('DATABASE_URL is not set: start Orden with ./start.');
  shared.ordenPool ??= new pg.Pool({ connectionString, max: 8 })
    // An idle connection that the database closes is replaced at the next query.
    .on('error', (error) => console.error(`The database closed a connection: ${error.message}`));
  return shared.ordenPool;
}

/** Runs `work` in one transaction; an error rolls it back. */
export async function inTransaction<T>(work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  const client = await pool().connect();
  try {
    await client.query('begin');
    const result = await work(client);
    await client.query('commit');
    return result;
  } catch (error) {
    await client.query('rollback');
    throw error;
  } finally {
    client.release();
  }
}
