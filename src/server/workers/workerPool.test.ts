import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createWorkerPool, type WorkerPool, type WorkerRun } from './workerPool';
import type { ReadJob } from './readJob';

/** A worker that does what the file name says, without reading a file. */
const WORKER = `
  const workerpool = require(${JSON.stringify(require.resolve('workerpool'))});
  const all = [];
  const done = () => ({ kind: 'result', result: process.pid });
  const answers = {
    'who.svg': done,
    'bad.svg': () => ({ kind: 'refused', code: 'empty', data: {} }),
    'odd.svg': () => { throw new Error('Odd.'); },
    'slow.svg': () => { for (;;); },
    'while.svg': () => new Promise((resolve) => setTimeout(() => resolve(done()), 150)),
    'large.svg': () => { for (;;) all.push(new Array(1e5).fill(all)); },
    'dead.svg': () => process.kill(process.pid, 'SIGKILL'),
    // Fits once.
    'half.svg': () => { for (let at = 0; at < 30; at++) all.push(new Array(1e5).fill(at)); return done(); },
  };
  workerpool.worker({ read: ({ fileName }) => {
    workerpool.workerEmit({ kind: 'begun' });
    return answers[fileName]();
  } });`;

let folder: string;
let workers: WorkerPool;
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'orden-pool-'));
  writeFileSync(path.join(folder, 'worker.cjs'), WORKER);
});
beforeEach(() => {
  jest.spyOn(console, 'warn').mockImplementation(() => undefined);
  workers = createWorkerPool(path.join(folder, 'worker.cjs'), 40);
});
afterEach(() => workers.close());
afterAll(() => rmSync(folder, { recursive: true }));

const ask = (fileName: string, run: Partial<WorkerRun> = {}): Promise<unknown> =>
  workers.run('read', { fileName } as ReadJob, {
    lane: 'short',
    timeoutMs: 30_000,
    tooLong: 'Too long.',
    ...run,
  });

it('a process runs one job after the other, also after a refusal', async () => {
  const first = await ask('who.svg');
  expect(await ask('who.svg')).toBe(first);
  await expect(ask('bad.svg')).rejects.toMatchObject({ name: 'ReadError', code: 'empty' });
  expect(await ask('who.svg')).toBe(first);
  await expect(ask('odd.svg')).rejects.toMatchObject({ message: 'Odd.' });
});

it('of many jobs, one runs at once for each process, and the time of each begins with its work', async () => {
  const lane = 'build';
  // All of them take longer than the limit of one, which has room for the start of a process.
  const many = Array.from({ length: 16 }, () => ask('while.svg', { lane, timeoutMs: 1800 }));
  expect(new Set(await Promise.all(many)).size).toBe(1);
});

it('tells a job that waits how many are before it', async () => {
  const lane = 'build';
  const told: number[] = [];
  const first = ask('while.svg', { lane });
  const second = ask('while.svg', { lane });
  await Promise.all([first, second, ask('who.svg', { lane, onPlace: (before) => told.push(before) })]);
  expect(told[0]).toBeGreaterThan(1);
  expect(told.at(-1)).toBe(0);
  expect([...told].sort((one, other) => other - one)).toEqual(told);
});

it('a job of one lane does not wait for another lane', async () => {
  const slow = ask('slow.svg', { lane: 'largeBuild', timeoutMs: 3_000 }).catch(
    (error: Error) => error.message,
  );
  await expect(ask('who.svg', { lane: 'build' })).resolves.toEqual(expect.any(Number));
  expect(await slow).toBe('Too long.');
});

it.each([
  ['takes too long', 'slow.svg', () => ({ timeoutMs: 200 }), { status: 422, message: 'Too long.' }],
  ['is stopped', 'slow.svg', () => ({ signal: AbortSignal.timeout(200) }), { name: 'TimeoutError' }],
  [
    'needs too much memory',
    'large.svg',
    () => ({}),
    { status: 422, message: expect.stringContaining('more memory') },
  ],
  ['is killed', 'dead.svg', () => ({}), { status: 422, message: expect.stringContaining('more memory') }],
])('a process whose job %s is replaced', async (_, fileName, run, error) => {
  const first = await ask('who.svg');
  await expect(ask(fileName, run())).rejects.toMatchObject(error);
  expect(await ask('who.svg')).not.toBe(first);
});

it('memory left by earlier jobs does not count against the next one', async () => {
  const first = await ask('half.svg');
  expect(await ask('half.svg')).not.toBe(first);
});

it('a job aborted before its start gets no process', async () => {
  await expect(ask('who.svg', { signal: AbortSignal.abort() })).rejects.toMatchObject({ name: 'AbortError' });
});
