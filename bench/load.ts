import { benchMockup } from './mockups';
import { textTable } from './table';

const [base = 'http://127.0.0.1:3000'] = process.argv.slice(2);
const LAYERS = 1000;
const CLIENTS = 30;
const SECONDS = 30;

/** What the clients do, with its share. */
const ACTS = [
  ['edit', 0.35],
  ['follow', 0.3],
  ['picture of a layer', 0.15],
  ['open the mockup', 0.05],
  ['shelf', 0.15],
] as const;
type Act = (typeof ACTS)[number][0];

const sent = new Map<Act, number[]>();
const errors: string[] = [];

const { mockup, layers } = await shelved();
const until = Date.now() + SECONDS * 1000;
await Promise.all(Array.from({ length: CLIENTS }, (_, at) => client(at)));

const rows = ACTS.map(([act]) => {
  const times = (sent.get(act) ?? []).sort((one, other) => one - other);
  return [
    act,
    String(times.length),
    ms(nearestRank(times, 0.5)),
    ms(nearestRank(times, 0.95)),
    ms(times.at(-1) ?? 0),
  ];
});
console.log(
  `\n${CLIENTS} clients on one mockup of ${layers.length} layers for ${SECONDS} s, ${errors.length} errors`,
);
console.log(textTable(['', 'requests', 'p50 ms', 'p95 ms', 'longest'], rows));
for (const error of errors.slice(0, 5)) console.log(error);

async function shelved(): Promise<{ readonly mockup: string; readonly layers: readonly string[] }> {
  const post = async <T>(address: string, body: string, type: string): Promise<T> => {
    const answer = await fetch(base + address, { method: 'POST', body, headers: { 'content-type': type } });
    return (await answer.json()) as T;
  };
  const { id } = await post<{ id: string }>(
    '/api/readings?name=bench.svg',
    benchMockup(LAYERS),
    'image/svg+xml',
  );
  const body = JSON.stringify({ reading: id });
  const { mockupId } = await post<{ mockupId: string }>('/api/projects', body, 'application/json');
  const text = await (await fetch(`${base}/api/mockups/${mockupId}`)).text();
  return {
    mockup: mockupId,
    layers: [...new Set([...text.matchAll(/"id":"([0-9a-f]{16})"/g)].map(([, each]) => each!))],
  };
}

async function client(at: number): Promise<void> {
  // A generator of Park and Miller, so that every run asks for the same.
  let seed = at + 1;
  const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
  while (Date.now() < until) {
    const act = pick(random());
    const layer = layers[Math.floor(random() * layers.length)]!;
    const start = performance.now();
    const answer = await request(act, layer, `n-${at}-${Math.floor(random() * 1e6)}`).catch(String);
    const time = performance.now() - start;
    sent.set(act, [...(sent.get(act) ?? []), time]);
    // A picture of what draws nothing does not exist.
    if (typeof answer === 'string' || (answer.status >= 400 && answer.status !== 404))
      errors.push(`${act}: ${typeof answer === 'string' ? answer : answer.status}`);
    else await answer.arrayBuffer();
    await new Promise((resolve) => setTimeout(resolve, 100 + random() * 200));
  }
}

function request(act: Act, layer: string, value: string): Promise<Response> {
  const address = `${base}/api/mockups/${mockup}`;
  if (act === 'follow') return fetch(`${address}/edits?after=0`);
  if (act === 'picture of a layer') return fetch(`${address}/layer-picture?layer=${layer}`);
  if (act === 'open the mockup') return fetch(address);
  if (act === 'shelf') return fetch(`${base}/api/projects`);
  return fetch(`${address}/edits`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ edits: [{ layer, facet: 'note', value }] }),
  });
}

function pick(at: number): Act {
  let rest = at;
  return ACTS.find(([, share]) => (rest -= share) < 0)?.[0] ?? 'shelf';
}

/** The percentile by nearest rank. */
function nearestRank(sorted: readonly number[], share: number): number {
  return sorted[Math.max(0, Math.ceil(sorted.length * share) - 1)] ?? 0;
}

function ms(time: number): string {
  return String(Math.round(time));
}
