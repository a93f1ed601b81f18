import { Gunzip } from 'fflate';
import { LIMITS } from './limits';
import { ReadError } from './readError';

/** Bytes that are unpacked at a time, so that a bomb is noticed before it has gone off. */
const SLICE = 65_536;

/** A compressed file's bytes, unpacked no further than a mockup may be large. */
export function gunzipBounded(bytes: Uint8Array): Uint8Array {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const stream = new Gunzip((chunk: Uint8Array) => {
    size += chunk.length;
    if (size > LIMITS.bytes) throw tooLarge(LIMITS.bytes);
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

/** The bytes of an SVG file, unpacked when it is packed (SVGZ; first bytes by RFC 1952, §2.3.1). */
export function svgBytes(bytes: Uint8Array): Uint8Array {
  return bytes[0] === 0x1f && bytes[1] === 0x8b ? gunzipBounded(bytes) : bytes;
}

export function tooLarge(limit: number): ReadError {
  return new ReadError('unpacks-too-large', { limit: limit / 1024 / 1024 });
}
