import { inflateSync } from 'node:zlib';

/**
 * A font file as TrueType or OpenType, for platforms that read no other: WOFF2 and WOFF are unpacked, others are as they
 * were.
 * @throws Error for a file that cannot be unpacked
 */
export async function plainFont(bytes: Uint8Array): Promise<Uint8Array> {
  const signature = Buffer.from(bytes.subarray(0, 4)).toString('latin1');
  if (signature === 'wOFF') return unpackWoff(Buffer.from(bytes));
  if (signature !== 'wOF2') return bytes;
  const unpacked = lastUnpacked.then(() => unpackWoff2(bytes));
  lastUnpacked = unpacked.catch(() => null);
  return unpacked;
}

/** The unpacker has one memory, which the next font takes: fonts are unpacked one after the other, and copied out. */
let lastUnpacked: Promise<unknown> = Promise.resolve();

async function unpackWoff2(bytes: Uint8Array): Promise<Uint8Array> {
  // Loaded for those who need it: it is a program of its own.
  const { default: woff2 } = await import('wawoff2');
  return Uint8Array.from(await woff2.decompress(bytes));
}

const [HEADER, ENTRY, PLAIN_HEADER, PLAIN_ENTRY] = [44, 20, 12, 16];

/** The most bytes of the tables of a font. */
const MOST_BYTES = 64_000_000;

/** A WOFF file as the font that it packs: the same tables, each unpacked (WOFF 1.0, §4 to §6). */
function unpackWoff(woff: Buffer): Uint8Array {
  const count = woff.readUInt16BE(12);
  if (count === 0) throw new Error('the font has no tables');
  let left = MOST_BYTES;
  const tables = Array.from({ length: count }, (_, at) => {
    const entry = HEADER + at * ENTRY;
    const [offset, packed, length] = [4, 8, 12].map((field) => woff.readUInt32BE(entry + field)) as [
      number,
      number,
      number,
    ];
    const stored = woff.subarray(offset, offset + packed);
    const data = packed < length ? inflateSync(stored, { maxOutputLength: Math.max(1, left) }) : stored;
    left -= data.length;
    const [tag, checksum] = [woff.subarray(entry, entry + 4), woff.subarray(entry + 16, entry + 20)];
    return { tag, checksum, data };
  });
  const size = tables.reduce(
    (sum, { data }) => sum + padded(data.length),
    PLAIN_HEADER + count * PLAIN_ENTRY,
  );
  const font = Buffer.alloc(size);
  woff.copy(font, 0, 4, 8);
  const steps = Math.floor(Math.log2(count));
  font.writeUInt16BE(count, 4);
  font.writeUInt16BE(16 * 2 ** steps, 6);
  font.writeUInt16BE(steps, 8);
  font.writeUInt16BE(16 * (count - 2 ** steps), 10);
  let offset = PLAIN_HEADER + count * PLAIN_ENTRY;
  for (const [at, { tag, checksum, data }] of tables.entries()) {
    const entry = PLAIN_HEADER + at * PLAIN_ENTRY;
    tag.copy(font, entry);
    checksum.copy(font, entry + 4);
    font.writeUInt32BE(offset, entry + 8);
    font.writeUInt32BE(data.length, entry + 12);
    data.copy(font, offset);
    offset += padded(data.length);
  }
  return font;
}

/** Tables begin at multiples of four bytes (OpenType, “Organization of an OpenType Font”). */
function padded(length: number): number {
  return Math.ceil(length / 4) * 4;
}
