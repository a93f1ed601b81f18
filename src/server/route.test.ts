import Joi from 'joi';
import { Refusal } from './http';
import { route } from './route';

const ID = '00000000-0000-4000-8000-000000000001';
const at = (params: Record<string, string | string[]>) => ({ params: Promise.resolve(params) });
const get = (query = '') => new Request(`http://orden.test/${query}`);
const post = (body: string) => new Request('http://orden.test/', { method: 'POST', body });

async function answer(response: Promise<Response>) {
  const { status } = await response;
  return { status, body: (await (await response).json()) as unknown };
}

it('gives the id and the rest of the path', async () => {
  const show = route({ id: 'build' }, ({ id, path }) => ({ id, path }));
  expect(await answer(show(get(), at({ build: ID, path: ['pictures', 'a%20b.svg'] })))).toEqual({
    status: 200,
    body: { id: ID, path: 'pictures/a b.svg' },
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
    body: { message: '"name" is required.' },
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
