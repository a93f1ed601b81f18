import { NextResponse, type NextRequest } from 'next/server';
import { HEADERS, namesFrom, pagePolicy, refusalOf } from './server/border';

/** Every request passes here first: who may ask, and what a browser may do with the answer. */
export function proxy(request: NextRequest): Response {
  const refusal = refusalOf(request, namesFrom(process.env.ORDEN_HOSTS));
  if (refusal !== null) return NextResponse.json({ message: refusal }, { status: 403, headers: HEADERS });
  const isPage = !request.nextUrl.pathname.startsWith('/api/');
  const nonce = btoa(crypto.randomUUID());
  const policy = pagePolicy(nonce);
  const headers = new Headers(request.headers);
  if (isPage) {
    // The framework puts the nonce of this header into its own scripts.
    headers.set('content-security-policy', policy);
    headers.set('x-nonce', nonce);
  }
  const response = NextResponse.next({ request: { headers } });
  for (const [name, value] of Object.entries(HEADERS)) response.headers.set(name, value);
  if (isPage) {
    response.headers.set('content-security-policy', policy);
    response.headers.set('cache-control', 'no-store');
  }
  return response;
}

export const config = { matcher: '/((?!_next/static/).*)' };
