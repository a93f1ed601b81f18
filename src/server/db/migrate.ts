import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import type { Pool, PoolClient } from 'pg';

/** The advisory lock of migrations: any number that nothing else in the database locks. */
const LOCK = 72_190_413;

/**
 * Runs the numbered files of `folder` that have not run yet, each in a transaction. A second process waits for the
 * first one.
 * @param until the last file to run; absent for all
 */
export async function migrate(pool: Pool, folder: string, until?: string): Promise<string[]> {
  const client = await pool.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [LOCK]);
    return await runFresh(client, folder, until);
  } finally {
    await client.query('select pg_advisory_unlock($1)', [LOCK]);
    client.release();
  }
}

async function runFresh(client: PoolClient, folder: string, until?: string): Promise<string[]> {
  await client.query(
    'create table if not exists migrations (name text primary key, run_at timestamptz not null default now())',
  );
  const { rows } = await client.query<{ name: string }>('select name from migrations');
  const known = new Set(rows.map((row) => row.name));
  const files = (await readdir(folder)).filter((file) => /^\d{4}_.*\.sql$/.test(file)).sort();
  const fresh = files.filter((file) => !known.has(file) && (until === undefined || file <= until));
  for (const file of fresh) {
    const sql = await readFile(path.join(folder, file), 'utf8');
    try {
      await client.query('begin');
      await client.query(sql);
      await client.query('insert into migrations (name) values ($1)', [file]);
      await client.query('commit');
    } catch (error) {
      await client.query('rollback');
      throw new Error(`Migration ${file} failed: ${error instanceof Error ? error.message : String(error)}`, {
        cause: error,
      });
    }
  }
  return fresh;
}
