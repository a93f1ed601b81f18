import type Joi from 'joi';
import { namesFrom, refusalOf } from './border';
import { body, parseId, query, Refusal, respond, storable, uuid } from './http';

/** The kinds of ids in addresses, and the words for one that is not there. */
const IDS = {
  build: 'This build',
  mockup: 'This mockup',
  project: 'This project',
  reading: 'This reading',
} as const;

/** What a route takes from a request; what is absent is not looked at. */
interface RouteParts<Body, Query> {
  /** The part of the address that is an id. */
  readonly id?: keyof typeof IDS;
  readonly body?: Joi.ObjectSchema<Body>;
  /** The most bytes of the body; absent for the usual limit. */
  readonly most?: number;
  readonly query?: Joi.ObjectSchema<Query>;
}

interface RouteInput<Body, Query> {
  /** Empty for an address without one. */
  readonly id: string;
  /** The rest of the address, for routes with a path of any length. */
  readonly path: string;
  readonly body: Body;
  readonly query: Query;
  /** Who sends it, as the browser remembers; null for nobody in particular. */
  readonly person: string | null;
  readonly request: Request;
}

interface RouteContext {
  /** Absent for an address without parts that vary. */
  readonly params?: Promise<Readonly<Record<string, string | readonly string[]>>>;
}

type RouteHandler = (request: Request, context: RouteContext) => Promise<Response>;

/**
 * A route handler that refuses foreign pages, validates its input, runs a use case, and answers with its result as JSON, or with its
 * response. Errors become one sentence with a status.
 */
export function route<Body = undefined, Query = undefined>(
  parts: RouteParts<Body, Query>,
  useCase: (input: RouteInput<Body, Query>) => Response | object | Promise<Response | object>,
): RouteHandler {
  return (request, { params }) =>
    respond(async () => {
      const refusal = refusalOf(request, namesFrom(process.env.ORDEN_HOSTS));
      if (refusal !== null) throw new Refusal(403, refusal);
      const { path = [], ...named } = (await params) ?? {};
      const id = parts.id ? parseId(String(named[parts.id]), IDS[parts.id]) : '';
      return useCase({
        id,
        path: storable([path].flat().join('/')),
        // Absent schemas leave these out of the input's type.
        body: (parts.body ? await body(request, parts.body, parts.most) : undefined) as Body,
        query: (parts.query ? query(request, parts.query) : undefined) as Query,
        person: personOf(request),
        request,
      });
    });
}

/** The person of a browser: its interface keeps an id in this cookie, so that undo takes back one's own edits. */
export const PERSON_COOKIE = 'orden-person';

function personOf(request: Request): string | null {
  const [, said] =
    new RegExp(`(?:^|;\\s*)${PERSON_COOKIE}=([^;]*)`).exec(request.headers.get('cookie') ?? '') ?? [];
  return said !== undefined && uuid.validate(said).error === undefined ? said : null;
}
