import { expect, request as requests, test, type APIRequestContext } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { readdirSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';

const LOG = '.orden/kills-server.log';
const DATA = '.orden/kills-postgres';

/** Orden on a database and a port of its own, kept running as ./start does. */
const START = `
  . scripts/common.sh
  trap 'stop_server; stop_postgres' EXIT; trap 'exit 143' TERM
  start_postgres ${DATA}; run_ts src/server/prepare.ts; start_server "$PORT"
  echo READY
  keep_running ${DATA} "$PORT"`;

let orden: ChildProcess;
let api: APIRequestContext;

test.beforeAll(async () => {
  test.setTimeout(120_000);
  rmSync(DATA, { recursive: true, force: true });
  const port = await freePort();
  const env = { ...process.env, PORT: String(port), SERVER_LOG: LOG };
  orden = spawn('bash', ['-euo', 'pipefail', '-c', START], { env, stdio: ['ignore', 'pipe', 'pipe'] });
  const said: string[] = [];
  orden.stderr!.on('data', (text: Buffer) => said.push(String(text)));
  await new Promise<void>((resolve, reject) => {
    orden.stdout!.on('data', (text: Buffer) => String(text).includes('READY') && resolve());
    orden.on('exit', () => reject(new Error(`Orden did not start. ${said.join('')}`)));
  });
  api = await requests.newContext({ baseURL: `http://127.0.0.1:${port}` });
});
test.afterAll(async () => {
  await api?.dispose();
  orden.removeAllListeners('exit');
  const ended = new Promise((resolve) => orden.on('exit', resolve));
  orden.kill('SIGTERM');
  await ended;
});

test('whatever is killed at whatever moment, nothing acknowledged is lost and nothing is stuck', async () => {
  test.setTimeout(300_000);
  const { projects } = await json<{ projects: { mockupId: string; name: string }[] }>('/api/projects');
  const mockup = `/api/mockups/${projects.find(({ name }) => name === 'ticket')!.mockupId}`;
  const layers = await layersOf(mockup);
  expect(layers.length).toBeGreaterThan(0);
  const acknowledged = new Map<string, string>();
  const builds: string[] = [];

  for (let round = 0; round < 10; round++) {
    const victim = (['server', 'database', 'browser'] as const)[round % 3]!;
    let running = true;
    const editing = (async () => {
      for (let count = 0; running; count++) {
        const layer = layers[count % layers.length]!;
        const value = `n-${round}-${count}`;
        const answer = await post(`${mockup}/edits`, { edits: [{ layer, facet: 'note', value }] });
        if (answer?.ok()) acknowledged.set(layer, value);
        // One without an answer may or may not be kept.
        else acknowledged.delete(layer);
      }
    })();
    const ordered = await post(`${mockup}/builds`, { arrangement: 'nested' });
    if (ordered?.ok()) builds.push(...((await ordered.json()) as { ids: string[] }).ids);
    // The moments are spread, and the same in every run.
    await pause(150 + ((round * 787) % 2600));
    kill(victim);
    await pause(100);
    await expect.poll(async () => (await get('/api/projects'))?.status() ?? 0, { timeout: 40_000 }).toBe(200);
    running = false;
    await editing;
  }

  const { tags } = await json<{ tags: Record<string, { note?: string }> }>(mockup);
  for (const [layer, value] of acknowledged) expect(tags[layer]?.note).toBe(value);
  for (const id of builds) {
    const state = async (address: string) => (await json<{ state: string }>(address)).state;
    await expect.poll(() => state(`/api/builds/${id}`), { timeout: 60_000 }).toMatch(/^(done|failed)$/);
    if ((await state(`/api/builds/${id}`)) === 'done')
      await expect
        .poll(() => state(`/api/builds/${id}/proof`), { timeout: 60_000 })
        .toMatch(/^(done|failed)$/);
  }
});

/** The ids of the outermost layers. */
async function layersOf(address: string): Promise<readonly string[]> {
  const { mockup } = await json<{ mockup: { screens: { root: { layers: { id: string }[] } }[] } }>(address);
  return mockup.screens.flatMap(({ root }) => root.layers.map(({ id }) => id));
}

function kill(victim: 'server' | 'database' | 'browser'): void {
  const server = Number(readFileSync(LOG.replace(/log$/, 'pid'), 'utf8'));
  if (victim === 'server') end(server);
  else if (victim === 'database')
    end(Number(readFileSync(`${DATA}/data/postmaster.pid`, 'utf8').split('\n')[0]));
  else for (const pid of descendants(server)) if (commandOf(pid).includes('chrom')) end(pid);
}

function end(pid: number): void {
  try {
    process.kill(pid, 'SIGKILL');
  } catch {
    // It has ended by itself.
  }
}

function commandOf(pid: number): string {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8');
  } catch {
    return '';
  }
}

/** The processes below that one (proc(5): the fourth field of `stat` is the parent). */
function descendants(pid: number): readonly number[] {
  const parents = readdirSync('/proc').flatMap((name) => {
    if (!/^\d+$/.test(name)) return [];
    try {
      const fields = readFileSync(`/proc/${name}/stat`, 'utf8')
        .replace(/^.*\) /s, '')
        .split(' ');
      return [[Number(name), Number(fields[1])] as const];
    } catch {
      return [];
    }
  });
  const below = parents.filter(([, parent]) => parent === pid).map(([child]) => child);
  return [...below, ...below.flatMap(descendants)];
}

async function get(address: string) {
  return api.get(address, { timeout: 5_000 }).catch(() => null);
}

async function json<T>(address: string): Promise<T> {
  const answer = await api.get(address, { timeout: 20_000 });
  if (!answer.ok()) throw new Error(`${address}: ${answer.status()}`);
  return (await answer.json()) as T;
}

async function post(address: string, data: object) {
  return api.post(address, { data, timeout: 5_000 }).catch(() => null);
}

function pause(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms));
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer();
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}
