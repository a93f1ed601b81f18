import Joi from 'joi';
import { Refusal } from './http';
import { route } from './route';

const ID = '00000000-0000-4000-8000-000000000001';
const at = (params: Record<string, string | string[]>) => ({ params: Promise.resolve(params) });
const HOST = { host: 'localhost:3100' };
const get = (query = '') => new Request(`http://localhost:3100/${query}`, { headers: HOST });
const post = (body: string, headers: Record<string, string> = {}) =>
  new Request('http://localhost:3100/', {
    method: 'POST',
    body,
    headers: { ...HOST, 'content-type': 'application/json', ...headers },
  });

async function answer(response: Promise<Response>) {
  const { status } = await response;
  return { status, body: (await (await response).json()) as unknown };
}

it('gives the id and the rest of the path', async () => {
  const show = route({ id: 'build' }, ({ id, path }) => ({ id, path }));
  expect(await answer(show(get(), at({ build: ID, path: ['pictures', 'a%b.svg'] })))).toEqual({
    status: 200,
    body: { id: ID, path: 'pictures/a%b.svg' },
  });
  expect(await answer(show(get(), at({ build: 'elsewhere' })))).toEqual({
    status: 404,
    body: { message: 'This build is not on the shelf any more; go back and choose another.' },
  });
});

it('has no id where the address has no parts that vary', async () => {
  const show = route({}, ({ id }) => ({ id }));
  expect(await answer(show(get(), {}))).toEqual({ status: 200, body: { id: '' } });
});

it('validates body and query', async () => {
  const save = route({ body: Joi.object({ name: Joi.string().required() }) }, ({ body }) => ({ body }));
  expect(await answer(save(post('{"name": "Holm"}'), {}))).toMatchObject({ status: 200 });
  expect(await answer(save(post('{}'), {}))).toEqual({
    status: 400,
    body: { message: 'name is required.' },
  });
  expect(await answer(save(post('{'), {}))).toEqual({
    status: 400,
    body: { message: 'The request is no JSON.' },
  });
  const seek = route({ query: Joi.object({ after: Joi.string().default('0') }) }, ({ query }) => ({ query }));
  expect(await answer(seek(get(), {}))).toEqual({ status: 200, body: { query: { after: '0' } } });
});

it('passes responses on, and answers refusals with their sentence', async () => {
  const plain = route({}, () => new Response('ready', { headers: { 'content-type': 'text/plain' } }));
  expect(await (await plain(get(), {})).text()).toBe('ready');
  const refusing = route({}, () => {
    throw new Refusal(409, 'There is nothing left to undo.');
  });
  expect(await answer(refusing(get(), {}))).toEqual({
    status: 409,
    body: { message: 'There is nothing left to undo.' },
  });
});

describe('what is refused before any work', () => {
  const save = route({ id: 'build', body: Joi.object().unknown() }, () => ({}));
  const path = at({ build: ID });

  it('requests of foreign pages', async () => {
    const foreign = post('{}', { 'sec-fetch-site': 'cross-site' });
    expect((await save(foreign, path)).status).toBe(403);
    expect((await save(post('{}', { host: 'attacker.invalid' }), path)).status).toBe(403);
  });

  it('JSON of another type, or of more bytes than the route takes', async () => {
    expect((await save(post('{}', { 'content-type': 'text/plain' }), path)).status).toBe(415);
    expect((await save(post(JSON.stringify({ note: 'a'.repeat(20_000) })), path)).status).toBe(413);
  });

  it.each(['{"note": "a\\u0000b"}', '{"note": ["\\ud800"]}', '{"\\udfff": 1}'])(
    'texts that no database stores: %s',
    async (text) => {
      expect((await save(post(text), path)).status).toBe(400);
    },
  );

  // Spellings that Joi takes for an id by default, and PostgreSQL does not.
  it.each([`[${ID}]`, `{${ID}}`, ID.replaceAll('-', ':')])('the id %s', async (build) => {
    expect((await save(post('{}'), at({ build }))).status).toBe(404);
  });
});

it('refuses JSON that is nested too deeply to be walked through', async () => {
  const save = route({ body: Joi.object().unknown(), most: 8_000_000 }, () => ({}));
  const nested = (levels: number) => post(`${'{"a":'.repeat(levels)}1${'}'.repeat(levels)}`);
  expect(await answer(save(nested(20), {}))).toEqual({ status: 200, body: {} });
  expect(await answer(save(nested(200_000), {}))).toEqual({
    status: 400,
    body: { message: 'The request is nested too deeply.' },
  });
});
