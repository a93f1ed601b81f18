import { createHash } from 'node:crypto';

/** The SHA-256 digest of the bytes, in hexadecimal. */
export function digestOf(bytes: Uint8Array): string {
  return createHash('sha256').update(bytes).digest('hex');
}
