import { NextResponse } from 'next/server';
import Joi from 'joi';
import { databaseProblem } from './db/databaseProblem';
import { readBody } from './readBody';
import { isReadError } from '../core/read/readError';

/** An error of a use case, with the sentence for people. */
export class Refusal extends Error {
  override readonly name = 'Refusal';

  constructor(
    readonly status: 400 | 403 | 404 | 409 | 413 | 415 | 422 | 503,
    message: string,
  ) {
    super(message);
  }
}

/** True for a refusal, also for one of the copy of this module that runs when the server starts. */
function isRefusal(error: unknown): error is Refusal {
  return error instanceof Error && error.name === 'Refusal';
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
  if (isRefusal(error)) return problem(error.status, error.message);
  if (isReadError(error)) return problem(error.code === 'too-large' ? 413 : 422, error.message);
  if (Joi.isError(error)) return problem(400, `${error.message}.`);
  if (error instanceof SyntaxError) return problem(400, 'The request is no JSON.');
  // The client has left; this is no error.
  if (isAborted(error)) return problem(499, 'The request was stopped.');
  console.error(error);
  const passing = databaseProblem(error);
  if (passing !== null) return problem(503, passing);
  return problem(500, 'Something went wrong on the server; nothing was changed. Try again.');
}

function isAborted(error: unknown): boolean {
  const name = typeof error === 'object' && error !== null && 'name' in error ? error.name : null;
  return name === 'AbortError' || name === 'ResponseAborted';
}

function problem(status: number, message: string): Response {
  return NextResponse.json({ message }, { status });
}

/** JSON that was written before, as a response. */
export function jsonResponse(json: string | Uint8Array): Response {
  return new Response(typeof json === 'string' ? json : new Uint8Array(json), {
    headers: { 'content-type': 'application/json; charset=utf-8' },
  });
}

/** @throws Refusal with what is wrong, without a library's quotation marks */
function valid<T>(raw: unknown, schema: Joi.ObjectSchema<T>, options: Joi.ValidationOptions = {}): T {
  storable(raw);
  const { value, error } = schema.validate(raw, { ...options, errors: { wrap: { label: '' } } });
  if (error) throw new Refusal(400, `${error.details[0]?.message ?? 'The request is not understood'}.`);
  return value as T;
}

/** Levels of a request's JSON: more than any request has, and few enough to walk through. */
const DEEPEST = 64;

/** @throws Refusal for texts that PostgreSQL does not store, and for JSON that is nested too deeply */
export function storable<T>(value: T): T {
  checkStorable(value, 0);
  return value;
}

/** Texts are stored without NUL and halves of surrogate pairs. */
function checkStorable(value: unknown, depth: number): void {
  if (depth > DEEPEST) throw new Refusal(400, 'The request is nested too deeply.');
  if (typeof value === 'string' && /[\0\p{Surrogate}]/u.test(value))
    throw new Refusal(400, 'The request has a character that is none (NUL, or half a pair); take it out.');
  if (typeof value !== 'object' || value === null) return;
  for (const [key, part] of Object.entries(value)) {
    checkStorable(key, depth + 1);
    checkStorable(part, depth + 1);
  }
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

/** An id as PostgreSQL reads it. */
export const uuid = Joi.string().uuid({ wrapper: false, separator: '-' });

const ID = uuid.required();

/** An id from the URL; any other value is not found. */
export function parseId(id: string, what: string): string {
  if (ID.validate(id).error) throw NOT_FOUND(what);
  return id;
}
