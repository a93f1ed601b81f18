import type { FontBook } from '../type/fontBook';
import { readFlat } from './flat/readFlat';
import { LIMITS } from './limits';
import { readOpenRaster } from './openraster/readOpenRaster';
import { ReadError } from './readError';
import type { OnProgress, Reading } from './reading';
import { readSvg } from './svg/readSvg';
import { gunzipBounded } from './unpack';

/** A file format that Orden reads: its signature, and its reader. */
interface Reader {
  readonly format: string;
  /** Bytes that a file may have. */
  readonly most: number;
  /** `head`: the first bytes, a letter each, without zeros. */
  readonly accepts: (head: string) => boolean;
  readonly read: (bytes: Uint8Array, name: string, book: FontBook, onProgress?: OnProgress) => Reading;
}

/** The readers in the order in which they are asked. */
const READERS: readonly Reader[] = [
  {
    format: 'OpenRaster',
    most: LIMITS.archive,
    accepts: (head) => head.startsWith('PK'),
    read: readOpenRaster,
  },
  {
    format: 'SVGZ',
    most: LIMITS.bytes,
    accepts: (head) => head.startsWith('\x1f\x8b'),
    read: (bytes, name, book, onProgress) => readSvg(gunzipBounded(bytes), name, book, onProgress),
  },
  { format: 'PNG', most: LIMITS.archive, accepts: (head) => head.startsWith('\x89PNG'), read: readFlat },
  {
    format: 'JPEG',
    most: LIMITS.archive,
    accepts: (head) => head.startsWith('\xff\xd8\xff'),
    read: readFlat,
  },
  { format: 'WebP', most: LIMITS.archive, accepts: (head) => /^RIFF.{0,4}WEBP/s.test(head), read: readFlat },
  { format: 'SVG', most: LIMITS.bytes, accepts: (head) => head.includes('<'), read: readSvg },
];

/**
 * Reads a mockup from a file's bytes. The bytes decide on the format, not the name.
 * @param fileName with its extension; the name without it becomes the screen's
 * @throws ReadError with one sentence when the file cannot be read
 */
export function read(bytes: Uint8Array, fileName: string, book: FontBook, onProgress?: OnProgress): Reading {
  // Letter by letter, since a decoder of "latin1" turns some bytes into others.
  const head = Array.from(bytes.subarray(0, 4096), (byte) =>
    byte === 0 ? '' : String.fromCharCode(byte),
  ).join('');
  if (head.trim() === '' && bytes.length < 4096) throw new ReadError('empty');
  const reader = READERS.find((candidate) => candidate.accepts(head));
  if (!reader) throw new ReadError('unknown', { what: 'its bytes are no mockup' });
  if (bytes.length > reader.most) {
    const megabytes = (count: number) => Math.ceil(count / 1024 / 1024);
    throw new ReadError('too-large', { size: megabytes(bytes.length), limit: megabytes(reader.most) });
  }
  return reader.read(bytes, screenName(fileName), book, onProgress);
}

function screenName(fileName: string): string {
  const base = fileName.split(/[\\/]/).pop() ?? '';
  return base.replace(/\.[^.]*$/, '').trim() || 'screen';
}
