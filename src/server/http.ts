import { NextResponse } from 'next/server';
import Joi from 'joi';
import { readBody } from './readBody';
import { ReadError } from '../core/read/readError';

/** An error of a use case, with the sentence for people. */
export class Refusal extends Error {
  constructor(
    readonly status: 400 | 403 | 404 | 409 | 413 | 415 | 422,
    message: string,
  ) {
    super(message);
  }
}

export const NOT_FOUND = (what: string) =>
  new Refusal(404, `${what} is not on the shelf any more; go back and choose another.`);

/** Runs a route's work. Every error becomes one sentence and a status here and nowhere else. */
export async function respond(work: () => Promise<Response | object>): Promise<Response> {
  try {
    const result = await work();
    return result instanceof Response ? result : NextResponse.json(result);
  } catch (error) {
    return responseFor(error);
  }
}

function responseFor(error: unknown): Response {
  if (error instanceof Refusal) return problem(error.status, error.message);
  if (error instanceof ReadError) return problem(error.code === 'too-large' ? 413 : 422, error.message);
  if (Joi.isError(error)) return problem(400, `${error.message}.`);
  if (error instanceof SyntaxError) return problem(400, 'The request is no JSON.');
  // The client has left; this is no error.
  if (isAborted(error)) return problem(499, 'The request was stopped.');
  console.error(error);
  return problem(500, 'Something went wrong on the server; nothing was changed. Try again.');
}

function isAborted(error: unknown): boolean {
  const name = typeof error === 'object' && error !== null && 'name' in error ? error.name : null;
  return name === 'AbortError' || name === 'ResponseAborted';
}

function problem(status: number, message: string): Response {
  return NextResponse.json({ message }, { status });
}

/** @throws Refusal with what is wrong, without a library's quotation marks */
function valid<T>(raw: unknown, schema: Joi.ObjectSchema<T>, options: Joi.ValidationOptions = {}): T {
  const { value, error } = schema.validate(raw, { ...options, errors: { wrap: { label: '' } } });
  if (error) throw new Refusal(400, `${error.details[0]?.message ?? 'The request is not understood'}.`);
  return value as T;
}

/** The most bytes of a request's JSON, where a route does not say more. */
const MOST_JSON_BYTES = 16 * 1024;

/**
 * The request's JSON, validated.
 * @param most the most bytes that it may have: parsing holds up all other requests
 */
export async function body<T>(
  request: Request,
  schema: Joi.ObjectSchema<T>,
  most = MOST_JSON_BYTES,
): Promise<T> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/json\s*(?:;|$)/i.test(type))
    throw new Refusal(415, 'The request is no JSON; send it as application/json.');
  const value: unknown = JSON.parse(new TextDecoder().decode(await readBody(request, most)));
  return valid(value, schema);
}

/**
 * The query parameters, validated. A repeated parameter is a list; parameters without a schema only vary
 * caches.
 */
export function query<T>(request: Request, schema: Joi.ObjectSchema<T>): T {
  const { searchParams } = new URL(request.url);
  const value = Object.fromEntries(
    [...new Set(searchParams.keys())].map((name) => {
      const all = searchParams.getAll(name);
      return [name, all.length > 1 ? all : all[0]];
    }),
  );
  return valid(value, schema, { stripUnknown: true });
}

const ID = Joi.string().uuid().required();

/** An id from the URL; any other value is not found. */
export function parseId(id: string, what: string): string {
  if (ID.validate(id).error) throw NOT_FOUND(what);
  return id;
}
