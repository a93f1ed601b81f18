export interface DataUri {
  readonly type: string;
  readonly bytes: Uint8Array;
}

/** The bytes inside a `data:` address (RFC 2397); null for any other or malformed address. */
export function readDataUri(address: string): DataUri | null {
  const match = /^\s*data:([^,;]*)((?:;[^,;]*)*),/i.exec(address.slice(0, 300));
  if (!match) return null;
  const body = address.slice(match[0].length);
  const type = (match[1] || 'text/plain').toLowerCase();
  try {
    if (/;\s*base64\s*(;|$)/i.test(match[2] ?? '')) return { type, bytes: decodeBase64(body) };
    return { type, bytes: new TextEncoder().encode(decodeURIComponent(body)) };
  } catch {
    return null;
  }
}

function decodeBase64(text: string): Uint8Array {
  const plain = /[\s%]/.test(text) ? decodeURIComponent(text).replace(/\s+/g, '') : text;
  const letters = atob(plain);
  const bytes = new Uint8Array(letters.length);
  for (let at = 0; at < letters.length; at++) bytes[at] = letters.charCodeAt(at);
  return bytes;
}
