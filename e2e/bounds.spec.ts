import { expect, test, type APIRequestContext } from '@playwright/test';
import { readFileSync } from 'node:fs';
import pLimit from 'p-limit';
import { svgOf } from './support/shelf';

/** Ids that some parser takes for one, and none. */
const IDS = [
  '00000000-0000-4000-8000-000000000000',
  '{00000000-0000-4000-8000-000000000000}',
  '[00000000000040008000000000000000]',
  '00000000:0000:4000:8000:000000000000',
  '..%2f..%2fetc',
  '%00',
  '%u0000',
  '%E0%A4%A',
  '%ED%A0%80',
  'x'.repeat(3000),
];
const PATHS = ['index.html', '%25', '%25zz', '..%2F..%2Fx', '%00', 'a/b/%FF'];
const BODIES = [
  '',
  'null',
  '[]',
  '{"',
  '{"reading":"\\u0000"}',
  '{"edits":[{"layer":"\\ud800","facet":"note","value":"\\u0000"}]}',
  '{"edits":[{"layer":{},"facet":"__proto__","value":1}]}',
  '{"__proto__":{"arrangement":"flow"}}',
  '{"arrangement":"flow","unit":7,"frame":[]}',
  '{"query":"\\u0000 role:"}',
  `{"after":"${'9'.repeat(18)}","edits":[{"layer":"x","facet":"regions","value":[{"name":"\\n","x":1e999}]}]}`,
];
const QUERIES = [
  '',
  '?after=99999999999999999999',
  '?after=1&after=2',
  '?name=%00&owner=1',
  '?small&reading=%ED%A0%80',
  '?screen=x&of=layers&layer=%00',
];
/** Every route with an id, and those without. */
const ROUTES = [
  'builds/ID',
  'builds/ID/files/PATH',
  'builds/ID/package',
  'builds/ID/picture',
  'builds/ID/proof',
  'builds/ID/proof/PATH',
  'builds/ID/record',
  'fonts',
  'mockups/ID',
  'mockups/ID/again',
  'mockups/ID/builds',
  'mockups/ID/drawing',
  'mockups/ID/edits',
  'mockups/ID/font',
  'mockups/ID/layer-picture',
  'mockups/ID/picture',
  'mockups/ID/redo',
  'mockups/ID/report',
  'mockups/ID/tagged',
  'mockups/ID/undo',
  'mockups/ID/views',
  'projects',
  'projects/ID',
  'readings',
  'readings/ID',
  'readings/ID/again',
  'readings/ID/picture',
  'readings/ID/progress',
];

test('no request of any kind to any route is an error of the server', async ({ request }) => {
  test.setTimeout(300_000);
  const mockup = (await shelf(request))[0]!.mockupId;
  const addresses = ROUTES.flatMap((route) =>
    (route.includes('ID') ? [...IDS, mockup] : ['']).flatMap((id) =>
      (route.includes('PATH') ? PATHS : ['']).map(
        (path) => `/api/${route.replace('ID', id).replace('PATH', path)}`,
      ),
    ),
  );
  const failed: string[] = [];
  const send = async (method: string, address: string, data?: string, type = 'application/json') => {
    const response = await request.fetch(address, {
      method,
      ...(data !== undefined && { data: Buffer.from(data), headers: { 'content-type': type } }),
      failOnStatusCode: false,
      // A connection may be closed at the moment that it is used again; that is no answer of the server.
      maxRetries: 2,
    });
    if (response.status() >= 500) failed.push(`${method} ${address} ${data ?? ''}: ${response.status()}`);
  };
  const all = addresses.flatMap((address): (() => Promise<void>)[] => [
    ...QUERIES.map((query) => () => send('GET', address + query)),
    // One that removes is sent to what does not exist only.
    ...(address.includes(mockup) ? [] : [() => send('DELETE', address)]),
    () => send('PATCH', address),
    () => send('TRACE', address),
    ...(address.length < 300 ? BODIES.map((body) => () => send('POST', address, body)) : []),
  ]);
  all.push(() => send('POST', `/api/mockups/${mockup}/edits`, '{}', 'text/plain'));
  const at = pLimit(12);
  await Promise.all(all.map((each) => at(each)));
  expect(failed).toEqual([]);
});

test('twenty files that come at once are all read, and small requests are answered meanwhile', async ({
  request,
}) => {
  const bytes = readFileSync('demo/harbour.svg');
  const ids = Array.from({ length: 20 }, () => crypto.randomUUID());
  let running = true;
  const slowest = (async () => {
    let most = 0;
    while (running) {
      const start = Date.now();
      expect((await request.get(`/api/readings/${ids[19]}/progress`)).ok()).toBe(true);
      most = Math.max(most, Date.now() - start);
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    return most;
  })();
  const answers = await Promise.all(
    ids.map((id) =>
      request.post(`/api/readings?name=harbour.svg&id=${id}`, { data: bytes, timeout: 60_000 }),
    ),
  );
  running = false;
  expect(answers.map((answer) => answer.status())).toEqual(ids.map(() => 200));
  test.info().annotations.push({ type: 'slowest small request, ms', description: String(await slowest) });
  for (const id of ids) await request.delete(`/api/readings/${id}`);
});

test('a reading that waits says how many files are before it', async ({ request }) => {
  const slow = svgOf('<g>'.repeat(200) + '<rect width="9" height="9"/>'.repeat(9000) + '</g>'.repeat(200));
  const ids = Array.from({ length: 8 }, () => crypto.randomUUID());
  const all = ids.map((id) =>
    request.post(`/api/readings?name=slow.svg&id=${id}`, { data: slow, timeout: 80_000 }),
  );
  await expect
    .poll(async () => {
      const answers = await Promise.all(ids.map((id) => request.get(`/api/readings/${id}/progress`)));
      const told = await Promise.all(answers.map((answer) => answer.json() as Promise<{ before: number }>));
      return Math.max(...told.map(({ before }) => before));
    })
    .toBeGreaterThan(1);
  for (const answer of await Promise.all(all)) expect(answer.status()).toBeLessThan(500);
  for (const id of ids) await request.delete(`/api/readings/${id}`);
});

async function shelf(request: APIRequestContext): Promise<readonly { readonly mockupId: string }[]> {
  const { projects } = (await (await request.get('/api/projects')).json()) as {
    projects: { mockupId: string }[];
  };
  return projects;
}
