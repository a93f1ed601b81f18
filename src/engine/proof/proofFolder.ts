import { mkdtemp, readdir, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';

const PREFIX = 'orden-proof-';
/** A folder that is older was left by a killed process: no proof takes that long. */
const OLDEST_MS = 60 * 60_000;

/** Makes a temporary folder for the files of a proof, does the work with it, and removes it. */
export async function withProofFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  await removeOld();
  const folder = await mkdtemp(path.join(tmpdir(), PREFIX));
  try {
    return await work(folder);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

async function removeOld(): Promise<void> {
  for (const name of await readdir(tmpdir())) {
    if (!name.startsWith(PREFIX)) continue;
    const folder = path.join(tmpdir(), name);
    const made = await stat(folder).catch(() => null);
    if (made === null || Date.now() - made.mtimeMs < OLDEST_MS) continue;
    // Another user's stays.
    await rm(folder, { recursive: true, force: true }).catch(() => undefined);
  }
}
