import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { createWorkerPool } from './workerPool';
import type { ReadJob } from './readJob';

/** A worker that does what the file name says, without reading a file. */
const WORKER = `
  const { parentPort, threadId } = require('worker_threads');
  const all = [];
  const answers = {
    'who.svg': () => parentPort.postMessage({ kind: 'result', result: threadId }),
    'bad.svg': () => parentPort.postMessage({ kind: 'refused', code: 'empty', data: {} }),
    'odd.svg': () => parentPort.postMessage({ kind: 'failed', message: 'Odd.' }),
    'slow.svg': () => { for (;;); },
    'while.svg': () => setTimeout(answers['who.svg'], 150),
    'large.svg': () => { for (;;) all.push(new Array(1e5).fill(all)); },
    // Fits once.
    'half.svg': () => { for (let at = 0; at < 30; at++) all.push(new Array(1e5).fill(at)); answers['who.svg'](); },
  };
  parentPort.on('message', ({ job }) => answers[job.fileName]());`;

function startPool() {
  const workers = createWorkerPool(
    () => new Worker(WORKER, { eval: true, resourceLimits: { maxOldGenerationSizeMb: 40 } }),
  );
  return (fileName: string, run: { timeoutMs?: number; signal?: AbortSignal } = {}): Promise<unknown> =>
    workers.run('read', { fileName } as ReadJob, { timeoutMs: 30_000, tooLong: 'Too long.', ...run });
}

it('a worker runs one job after the other, also after a refusal', async () => {
  const ask = startPool();
  const first = await ask('who.svg');
  expect(await ask('who.svg')).toBe(first);
  await expect(ask('bad.svg')).rejects.toMatchObject({ code: 'empty' });
  expect(await ask('who.svg')).toBe(first);
});

it('simultaneous jobs have a worker each', async () => {
  const ask = startPool();
  const [one, other] = await Promise.all([ask('who.svg'), ask('who.svg')]);
  expect(one).not.toBe(other);
  expect([one, other]).toContain(await ask('who.svg'));
});

it('of many jobs, as many run at once as there are cores, and the time of each begins with its work', async () => {
  const ask = startPool();
  const many = Array.from({ length: availableParallelism() * 4 }, () => ask('while.svg', { timeoutMs: 500 }));
  const workers = new Set(await Promise.all(many));
  expect(workers.size).toBeLessThanOrEqual(availableParallelism());
});

it.each([
  ['takes too long', 'slow.svg', () => ({ timeoutMs: 200 }), { status: 422, message: 'Too long.' }],
  ['is stopped', 'slow.svg', () => ({ signal: AbortSignal.timeout(200) }), { name: 'TimeoutError' }],
  ['fails', 'odd.svg', () => ({}), { message: 'Odd.' }],
  [
    'needs too much memory',
    'large.svg',
    () => ({}),
    { status: 422, message: expect.stringContaining('more memory') },
  ],
])('a worker that %s is replaced', async (_, fileName, run, error) => {
  const ask = startPool();
  const first = await ask('who.svg');
  await expect(ask(fileName, run())).rejects.toMatchObject(error);
  expect(await ask('who.svg')).not.toBe(first);
});

it('memory left by earlier jobs does not count against the next one', async () => {
  const ask = startPool();
  const first = await ask('half.svg');
  expect(await ask('half.svg')).not.toBe(first);
});

it('a job aborted before its start gets no worker', async () => {
  await expect(startPool()('who.svg', { signal: AbortSignal.abort() })).rejects.toMatchObject({
    name: 'AbortError',
  });
});
