/** The names under which a browser on this machine reaches Orden. */
const OWN_HOSTS = ['localhost', '127.0.0.1', '[::1]'];

/**
 * Why a request is not answered, in a sentence; null for one that is. Another name for this machine could be
 * a foreign page's (DNS rebinding), and a page of another site may not change anything (Fetch Metadata, §2).
 * @param more further names, for a server behind another one
 */
export function refusalOf(
  { method, headers }: Pick<Request, 'method' | 'headers'>,
  more: readonly string[] = [],
): string | null {
  const host = headers.get('host') ?? '';
  const name = host.replace(/:\d+$/, '').toLowerCase();
  if (![...OWN_HOSTS, ...more].includes(name))
    return 'Orden is not reached under this name; open it as http://127.0.0.1 or http://localhost with its port.';
  if (method === 'GET' || method === 'HEAD') return null;
  const site = headers.get('sec-fetch-site');
  const origin = headers.get('origin');
  const isOwn =
    site === null ? origin === null || isOf(origin, host) : site === 'same-origin' || site === 'none';
  return isOwn ? null : 'A page of another site asked for a change; nothing was changed.';
}

function isOf(origin: string, host: string): boolean {
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

/** The further names that the environment gives, separated by commas. */
export function namesFrom(list: string | undefined): readonly string[] {
  return (list ?? '').split(',').flatMap((name) => name.trim().toLowerCase() || []);
}

/**
 * The policy of the app's own pages (CSP 3): scripts of Orden alone, nothing from elsewhere, in nobody's frame.
 * @param nonce of the scripts that stand in the page
 */
export function pagePolicy(nonce: string): string {
  return [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "frame-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** Headers of every response. */
export const HEADERS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
};
