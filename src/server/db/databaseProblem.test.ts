import pg from 'pg';
import { respond } from '../http';
import { databaseProblem } from './databaseProblem';

beforeEach(() => jest.spyOn(console, 'error').mockImplementation(() => undefined));
afterEach(() => jest.restoreAllMocks());

const ofCode = (code: string) => Object.assign(new Error('x'), { code });

it('says in words that the database is away, with the status of what passes', async () => {
  // Nothing listens there (port 1 is reserved: RFC 6335, tcpmux).
  const nobody = new pg.Pool({ connectionString: 'postgres://orden@127.0.0.1:1/none' });
  const answer = await respond(async () => (await nobody.query('select 1')).rows);
  expect(answer.status).toBe(503);
  expect(await answer.json()).toEqual({
    message:
      'The database cannot be reached; Orden starts it again. What was saved is kept; try again in a moment.',
  });
  await nobody.end();
});

it('tells a full disk, a server that stops, and what is another fault', () => {
  expect(['53100', 'ENOSPC'].map((code) => databaseProblem(ofCode(code)))).toEqual(
    Array(2).fill('The disk is full; make room and try again. What was saved is kept.'),
  );
  expect(['57P01', '57P03', '08006'].map((code) => databaseProblem(ofCode(code)) !== null)).toEqual(
    Array(3).fill(true),
  );
  expect(databaseProblem(new Error('Connection terminated unexpectedly'))).not.toBeNull();
  expect(databaseProblem(new Error('Not stored.', { cause: ofCode('ENOSPC') }))).toContain('full');
  expect([ofCode('23505'), new Error('x'), 'x'].map(databaseProblem)).toEqual([null, null, null]);
});
