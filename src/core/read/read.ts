import type { FontBook } from '../type/fontBook';
import { LIMITS } from './limits';
import { ReadError } from './readError';
import { readSvg, type Reading, type ReadResult } from './svg/readSvg';

/** A kind of file that Orden reads: whether the bytes are one, and how they are read. */
interface Reader {
  readonly format: string;
  readonly accepts: (head: string) => boolean;
  readonly read: (bytes: Uint8Array, name: string, book: FontBook) => Reading;
}

/** The readers in the order in which they are asked. */
const READERS: readonly Reader[] = [{ format: 'svg', accepts: (head) => head.includes('<'), read: readSvg }];

/**
 * Reads a mockup from a file's bytes.
 * @param fileName with its ending; the name without it becomes the screen's
 * @throws ReadError with one sentence when the file cannot be read
 */
export function read(bytes: Uint8Array, fileName: string, book: FontBook): Reading {
  if (bytes.length > LIMITS.bytes) {
    const megabytes = (count: number) => Math.ceil(count / 1024 / 1024);
    throw new ReadError('too-large', { size: megabytes(bytes.length), limit: megabytes(LIMITS.bytes) });
  }
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 4096)).replaceAll('\0', '');
  if (head.trim() === '' && bytes.length < 4096) throw new ReadError('empty');
  const reader = READERS.find((candidate) => candidate.accepts(head));
  if (!reader) throw new ReadError('not-svg', { what: 'its bytes are something else' });
  return reader.read(bytes, screenName(fileName), book);
}

function screenName(fileName: string): string {
  const base = fileName.split(/[\\/]/).pop() ?? '';
  return base.replace(/\.[^.]*$/, '').trim() || 'screen';
}

export type { Reading, ReadResult };
