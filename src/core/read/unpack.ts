import { Gunzip, unzipSync } from 'fflate';
import { LIMITS } from './limits';
import { ReadError } from './readError';

/** A compressed file's bytes, unpacked no further than a mockup may be large. */
export function gunzipBounded(bytes: Uint8Array): Uint8Array {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const gunzip = new Gunzip((chunk) => {
    size += chunk.length;
    if (size > LIMITS.bytes) throw new ReadError('unpacks-too-large', { limit: LIMITS.bytes / 1024 / 1024 });
    chunks.push(chunk);
  });
  try {
    // In slices, so that a bomb is noticed before it has gone off.
    for (let at = 0; at < bytes.length; at += 65_536) {
      gunzip.push(bytes.subarray(at, at + 65_536), at + 65_536 >= bytes.length);
    }
  } catch (error) {
    if (error instanceof ReadError) throw error;
    throw new ReadError('broken-archive', { what: 'its compression' });
  }
  return joined(chunks, size);
}

function joined(chunks: readonly Uint8Array[], size: number): Uint8Array {
  const all = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
}

/** The entries of a ZIP by name. Nothing is written anywhere, so names that point outside do no harm. */
export function unzipBounded(bytes: Uint8Array): ReadonlyMap<string, Uint8Array> {
  let size = 0;
  try {
    const entries = unzipSync(bytes, {
      filter({ originalSize }) {
        size += originalSize;
        if (size > LIMITS.unpacked) {
          throw new ReadError('unpacks-too-large', { limit: LIMITS.unpacked / 1024 / 1024 });
        }
        return true;
      },
    });
    return new Map(Object.entries(entries));
  } catch (error) {
    if (error instanceof ReadError) throw error;
    throw new ReadError('broken-archive', { what: 'its ZIP' });
  }
}
