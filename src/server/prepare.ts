import path from 'node:path';
import { pool } from './db/pool';
import { migrate } from './db/migrate';
import { loadDemo } from './useCases/loadDemo';
import { removeLeftOvers } from './useCases/remove';
import { renewRevisions } from './useCases/renewRevisions';

/** Migrates the database and loads the demo: run by ./start and ./check before serving. */
async function prepare(): Promise<void> {
  const home = process.cwd();
  const ran = await migrate(pool(), path.join(home, 'db/migrations'));
  const renewed = await renewRevisions();
  await removeLeftOvers();
  const loaded = await loadDemo(path.join(home, 'demo'));
  const done = [
    `${ran.length} new migrations`,
    `${renewed} mockups read anew`,
    `${loaded.length} demo mockups loaded`,
  ];
  console.log(`Database ready (${done.join(', ')}).`);
  await pool().end();
}

prepare().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
});
