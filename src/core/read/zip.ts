import { unzipSync } from 'fflate';
import { LIMITS } from './limits';
import { ReadError } from './readError';
import { tooLarge } from './unpack';

/** Deflate packs no more than that many bytes into one (zlib, technical details; from memory). */
const LARGEST_RATIO = 1032;

/**
 * The entries of a ZIP that are wanted, by name. Nothing is written anywhere, so names that point outside do no
 * harm.
 * Source: ZIP file format specification (APPNOTE 6.3), §4.3.
 * @throws ReadError when the bytes are no ZIP that can be read, an entry is broken or larger than it says, or the
 *   entries are larger than allowed
 */
export function zipEntries(bytes: Uint8Array, wanted: ReadonlySet<string>): ReadonlyMap<string, Uint8Array> {
  // Bit 0 of the flags of the first entry (APPNOTE §4.4.4).
  if (((bytes[6] ?? 0) & 1) !== 0) throw new ReadError('encrypted');
  let size = 0;
  const take = (entry: { readonly name: string; readonly size: number; readonly originalSize: number }) => {
    if (!wanted.has(entry.name)) return false;
    if (entry.originalSize > LARGEST_RATIO * (entry.size + 1)) throw broken();
    size += entry.originalSize;
    if (size > LIMITS.unpacked) throw tooLarge(LIMITS.unpacked);
    return true;
  };
  try {
    return new Map(Object.entries(unzipSync(bytes, { filter: take })));
  } catch (error) {
    // The reader has codes for some faults and a RangeError for offsets that lead out of the file.
    throw error instanceof ReadError ? error : broken();
  }
}

function broken(): ReadError {
  return new ReadError('broken-archive', { what: 'its ZIP' });
}
