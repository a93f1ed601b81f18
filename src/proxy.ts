import { NextResponse, type NextRequest } from 'next/server';
import { namesFrom, pagePolicy, refusalOf } from './server/border';

/**
 * Every request for a page passes here first: who may ask, and what a browser may do with the answer. Requests to
 * routes don't: the framework would hold their uploads in memory before a route can refuse them, so the route's
 * wrapper asks the same question.
 */
export function proxy(request: NextRequest): Response {
  const refusal = refusalOf(request, namesFrom(process.env.ORDEN_HOSTS));
  if (refusal !== null) return NextResponse.json({ message: refusal }, { status: 403 });
  const nonce = btoa(crypto.randomUUID());
  const policy = pagePolicy(nonce);
  const headers = new Headers(request.headers);
  // The framework puts the nonce of this header into its own scripts.
  headers.set('content-security-policy', policy);
  headers.set('x-nonce', nonce);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  response.headers.set('cache-control', 'no-store');
  return response;
}

export const config = { matcher: '/((?!_next/static/|api/).*)' };
