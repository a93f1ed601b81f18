import { NextResponse } from 'next/server';
import Joi from 'joi';
import { ReadError } from '../core/read/readError';

/** What a use case refuses, with the sentence for people. */
export class Refusal extends Error {
  constructor(
    readonly status: 400 | 404 | 409 | 413 | 422,
    message: string,
  ) {
    super(message);
  }
}

export const NOT_FOUND = (what: string) =>
  new Refusal(404, `${what} is not on the shelf any more; go back and choose another.`);

/** Runs a route's work; every error becomes one sentence and the right status here and nowhere else. */
export async function answer(work: () => Promise<Response | object>): Promise<Response> {
  try {
    const result = await work();
    return result instanceof Response ? result : NextResponse.json(result);
  } catch (error) {
    return explain(error);
  }
}

function explain(error: unknown): Response {
  if (error instanceof Refusal) return problem(error.status, error.message);
  if (error instanceof ReadError) return problem(error.code === 'too-large' ? 413 : 422, error.message);
  if (Joi.isError(error)) return problem(400, `${error.message}.`);
  if (error instanceof SyntaxError) return problem(400, 'The request is no JSON.');
  // Nobody waits for the answer any more; nothing is wrong.
  if (isStopped(error)) return problem(499, 'The request was stopped.');
  console.error(error);
  return problem(500, 'Something went wrong on the server; nothing was changed. Try again.');
}

function isStopped(error: unknown): boolean {
  const name = typeof error === 'object' && error !== null && 'name' in error ? error.name : null;
  return name === 'AbortError' || name === 'ResponseAborted';
}

function problem(status: number, message: string): Response {
  return NextResponse.json({ message }, { status });
}

/** The request's JSON, checked. */
export async function body<T>(request: Request, schema: Joi.ObjectSchema<T>): Promise<T> {
  const value: unknown = await request.json();
  return Joi.attempt(value, schema) as T;
}

/** What stands after the `?`, checked: what is said twice is a list, and what the schema does not know is for caches only. */
export function query<T>(request: Request, schema: Joi.ObjectSchema<T>): T {
  const { searchParams } = new URL(request.url);
  const value = Object.fromEntries(
    [...new Set(searchParams.keys())].map((name) => {
      const all = searchParams.getAll(name);
      return [name, all.length > 1 ? all : all[0]];
    }),
  );
  return Joi.attempt(value, schema, { stripUnknown: true }) as T;
}

const ID = Joi.string().uuid().required();

/** An id from the address; anything else counts as not found. */
export function parseId(id: string, what: string): string {
  if (ID.validate(id).error) throw NOT_FOUND(what);
  return id;
}
