import { LIMITS } from './limits';
import { ReadError } from './readError';

/** The formats in the order in which they are tried: the bytes that a file may have, and its signature. */
const FORMATS = {
  openraster: { most: LIMITS.archive, accepts: (head: string) => head.startsWith('PK') },
  svgz: { most: LIMITS.bytes, accepts: (head: string) => head.startsWith('\x1f\x8b') },
  png: { most: LIMITS.archive, accepts: (head: string) => head.startsWith('\x89PNG') },
  jpeg: { most: LIMITS.archive, accepts: (head: string) => head.startsWith('\xff\xd8\xff') },
  webp: { most: LIMITS.archive, accepts: (head: string) => /^RIFF.{0,4}WEBP/s.test(head) },
  svg: { most: LIMITS.bytes, accepts: (head: string) => head.includes('<') },
} as const;
/** Known formats that are no mockup here, by their signatures. */
const FOREIGN: readonly (readonly [signature: RegExp, name: string])[] = [
  [/^GIF8[79]a/, 'a GIF picture'],
  [/^.{0,8}ftypavi[fs]/s, 'an AVIF picture'],
  [/^.{0,8}ftyp(?:hei[cfmsx]|mif1|msf1)/s, 'an HEIF picture'],
  [/^%PDF-/, 'a PDF document'],
  [/^8BPS/, 'a layered drawing in the format of another program'],
  [/^BM.{4}/s, 'a BMP picture'],
  [/^(?:II\*|MM\*)/, 'a TIFF picture'],
];

export type Format = keyof typeof FORMATS;

/**
 * The format of a file, which its bytes decide and not its name.
 * @throws ReadError for a file that is empty, too large or in no format that Orden reads
 */
export function formatOf(bytes: Uint8Array): Format {
  // Letter by letter and without zeros, since a decoder of "latin1" turns some bytes into others.
  const head = Array.from(bytes.subarray(0, 4096), (byte) =>
    byte === 0 ? '' : String.fromCharCode(byte),
  ).join('');
  const foreign = FOREIGN.find(([signature]) => signature.test(head));
  if (foreign) throw new ReadError('foreign', { format: foreign[1] });
  if (head.trim() === '' && bytes.length < 4096) throw new ReadError('empty');
  const format = (Object.keys(FORMATS) as Format[]).find((candidate) => FORMATS[candidate].accepts(head));
  if (!format) throw new ReadError('unknown', { what: 'its bytes are no mockup' });
  const { most } = FORMATS[format];
  if (bytes.length > most) {
    const megabytes = (count: number) => Math.ceil(count / 1024 / 1024);
    throw new ReadError('too-large', { size: megabytes(bytes.length), limit: megabytes(most) });
  }
  return format;
}
