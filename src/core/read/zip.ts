import { LIMITS } from './limits';
import { ReadError } from './readError';
import { inflateBounded, tooLarge } from './unpack';

interface Entry {
  readonly method: number;
  readonly packed: number;
  readonly size: number;
  readonly offset: number;
}

const END = 0x06054b50;
const CENTRAL = 0x02014b50;
const LOCAL = 0x04034b50;
const END_LENGTH = 22;
/** The comment after the end record is at most this long. */
const LONGEST_COMMENT = 0xffff;
const UNKNOWN = 0xffffffff;
const ZIP64_EXTRA = 0x0001;

/**
 * A ZIP whose entries are unpacked when they are asked for, each no further than its own size and all together no
 * further than an archive may hold. Nothing is written anywhere, so names that point outside do no harm.
 * A package's whole-archive reader gives an entry that lies about its size cut off and says nothing of a password;
 * both are refused here.
 * Source: ZIP file format specification (APPNOTE 6.3), §4.3.
 */
export class Zip {
  private readonly entries: ReadonlyMap<string, Entry>;
  private readonly view: DataView;
  private unpacked = 0;

  /** @throws ReadError when the bytes are no ZIP that can be read */
  constructor(private readonly bytes: Uint8Array) {
    this.view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    this.entries = guarded(() => this.directory());
  }

  /**
   * The entry's bytes, null when there is no such entry.
   * @throws ReadError when the entry is broken, or the archive exceeds its limits
   */
  take(name: string): Uint8Array | null {
    const entry = this.entries.get(name);
    if (!entry) return null;
    this.unpacked += entry.size;
    if (this.unpacked > LIMITS.unpacked) throw tooLarge(LIMITS.unpacked);
    return guarded(() => {
      if (this.view.getUint32(entry.offset, true) !== LOCAL) throw broken();
      const names =
        this.view.getUint16(entry.offset + 26, true) + this.view.getUint16(entry.offset + 28, true);
      const start = entry.offset + 30 + names;
      if (start + entry.packed > this.bytes.length) throw broken();
      const packed = this.bytes.subarray(start, start + entry.packed);
      if (entry.method === 0) return packed;
      if (entry.method === 8) return inflateBounded(packed, entry.size);
      throw broken();
    });
  }

  private directory(): ReadonlyMap<string, Entry> {
    const { view } = this;
    const end = this.findEnd();
    const entries = new Map<string, Entry>();
    let at = view.getUint32(end + 16, true);
    for (let left = view.getUint16(end + 10, true); left > 0; left--) {
      if (view.getUint32(at, true) !== CENTRAL) throw broken();
      // Bit 0 of the flags (APPNOTE §4.4.4).
      if ((view.getUint16(at + 8, true) & 1) !== 0) throw new ReadError('encrypted');
      const [nameLength, extraLength, commentLength] = [28, 30, 32].map((offset) =>
        view.getUint16(at + offset, true),
      );
      const nameEnd = at + 46 + (nameLength ?? 0);
      const extraEnd = nameEnd + (extraLength ?? 0);
      const name = new TextDecoder().decode(this.bytes.subarray(at + 46, nameEnd));
      entries.set(name, this.entry(at, nameEnd, extraEnd));
      at = extraEnd + (commentLength ?? 0);
    }
    return entries;
  }

  private findEnd(): number {
    const last = this.bytes.length - END_LENGTH;
    for (let at = last; at >= Math.max(0, last - LONGEST_COMMENT); at--)
      if (this.view.getUint32(at, true) === END) return at;
    throw broken();
  }

  /** Sizes that do not fit stand in an extra field, in the order size, packed, offset (APPNOTE §4.5.3). */
  private entry(at: number, extraStart: number, extraEnd: number): Entry {
    const { view } = this;
    const wide: number[] = [];
    for (let extra = extraStart; extra + 4 <= extraEnd; extra += 4 + view.getUint16(extra + 2, true)) {
      if (view.getUint16(extra, true) !== ZIP64_EXTRA) continue;
      const length = view.getUint16(extra + 2, true);
      for (let part = 0; part + 8 <= length; part += 8)
        wide.push(Number(view.getBigUint64(extra + 4 + part, true)));
    }
    const field = (offset: number) => {
      const value = view.getUint32(at + offset, true);
      return value === UNKNOWN ? (wide.shift() ?? value) : value;
    };
    const size = field(24);
    const packed = field(20);
    return { method: view.getUint16(at + 10, true), packed, size, offset: field(42) };
  }
}

function broken(): ReadError {
  return new ReadError('broken-archive', { what: 'its ZIP' });
}

/** Offsets that lead out of the file are the file's fault. */
function guarded<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    throw error instanceof RangeError ? broken() : error;
  }
}
