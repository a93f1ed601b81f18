import { Gunzip, Inflate } from 'fflate';
import { LIMITS } from './limits';
import { ReadError } from './readError';

/** Bytes that are unpacked at a time, so that a bomb is noticed before it has gone off. */
const SLICE = 65_536;

type Stream = new (onData: (chunk: Uint8Array) => void) => { push(bytes: Uint8Array, final: boolean): void };

/** A compressed file's bytes, unpacked no further than a mockup may be large. */
export function gunzipBounded(bytes: Uint8Array): Uint8Array {
  return unpack(Gunzip, bytes, LIMITS.bytes, () => tooLarge(LIMITS.bytes));
}

/** The bytes of an SVG file, unpacked when it is packed (SVGZ; first bytes by RFC 1952, §2.3.1). */
export function svgBytes(bytes: Uint8Array): Uint8Array {
  return bytes[0] === 0x1f && bytes[1] === 0x8b ? gunzipBounded(bytes) : bytes;
}

/** Bytes of deflate, which must not become more than `size`. */
export function inflateBounded(bytes: Uint8Array, size: number): Uint8Array {
  return unpack(Inflate, bytes, size, () => new ReadError('broken-archive', { what: 'its ZIP' }));
}

export function tooLarge(limit: number): ReadError {
  return new ReadError('unpacks-too-large', { limit: limit / 1024 / 1024 });
}

function unpack(kind: Stream, bytes: Uint8Array, most: number, refuse: () => ReadError): Uint8Array {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const stream = new kind((chunk) => {
    size += chunk.length;
    if (size > most) throw refuse();
    chunks.push(chunk);
  });
  try {
    for (let at = 0; at < bytes.length; at += SLICE)
      stream.push(bytes.subarray(at, at + SLICE), at + SLICE >= bytes.length);
  } catch (error) {
    if (error instanceof ReadError) throw error;
    throw new ReadError('broken-archive', { what: 'its compression' });
  }
  const all = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
}
