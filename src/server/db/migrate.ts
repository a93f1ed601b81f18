import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import type { Pool } from 'pg';

/** Runs the numbered files of `folder` that have not run yet, each in a transaction. */
export async function migrate(pool: Pool, folder: string): Promise<string[]> {
  await pool.query(
    'create table if not exists migrations (name text primary key, run_at timestamptz not null default now())',
  );
  const { rows } = await pool.query<{ name: string }>('select name from migrations');
  const known = new Set(rows.map((row) => row.name));
  const files = (await readdir(folder)).filter((file) => /^\d{4}_.*\.sql$/.test(file)).sort();
  const fresh = files.filter((file) => !known.has(file));
  for (const file of fresh) {
    const sql = await readFile(path.join(folder, file), 'utf8');
    const client = await pool.connect();
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
    } finally {
      client.release();
    }
  }
  return fresh;
}
