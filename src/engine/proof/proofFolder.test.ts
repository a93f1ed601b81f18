import { existsSync } from 'node:fs';
import { mkdtemp, utimes, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { withProofFolder } from './proofFolder';

it('is gone after the work, also after an error, and with it what a killed process left', async () => {
  const left = await mkdtemp(path.join(tmpdir(), 'orden-proof-'));
  await writeFile(path.join(left, 'index.html'), '');
  const before = new Date(Date.now() - 2 * 60 * 60_000);
  await utimes(left, before, before);
  const running = await mkdtemp(path.join(tmpdir(), 'orden-proof-'));
  let own = '';
  await expect(
    withProofFolder(async (folder) => {
      own = folder;
      await writeFile(path.join(folder, 'index.html'), '');
      throw new Error('Stopped.');
    }),
  ).rejects.toThrow('Stopped.');
  expect([left, own, running].map((folder) => existsSync(folder))).toEqual([false, false, true]);
});
