import { readFileSync } from 'node:fs';
import { deflateSync } from 'node:zlib';
import { create, type Font } from 'fontkit';
import { plainFont } from './plainFont';
import { shippedPath } from './shipped';

/** A font in WOFF (WOFF 1.0, §3 to §5), its tables packed where that makes them smaller. */
function asWoff(font: Buffer): Buffer {
  const count = font.readUInt16BE(4);
  const tables = Array.from({ length: count }, (_, at) => {
    const entry = 12 + at * 16;
    const data = font.subarray(
      font.readUInt32BE(entry + 8),
      font.readUInt32BE(entry + 8) + font.readUInt32BE(entry + 12),
    );
    const packed = deflateSync(data);
    return {
      head: font.subarray(entry, entry + 8),
      data,
      packed: packed.length < data.length ? packed : data,
    };
  });
  const header = Buffer.alloc(44);
  header.write('wOFF', 0, 'latin1');
  font.copy(header, 4, 0, 4);
  header.writeUInt16BE(count, 12);
  const directory = Buffer.alloc(count * 20);
  const bodies: Buffer[] = [];
  let offset = 44 + directory.length;
  for (const [at, { head, data, packed }] of tables.entries()) {
    head.copy(directory, at * 20, 0, 4);
    directory.writeUInt32BE(offset, at * 20 + 4);
    directory.writeUInt32BE(packed.length, at * 20 + 8);
    directory.writeUInt32BE(data.length, at * 20 + 12);
    head.copy(directory, at * 20 + 16, 4, 8);
    const body = Buffer.alloc(Math.ceil(packed.length / 4) * 4);
    packed.copy(body);
    bodies.push(body);
    offset += body.length;
  }
  return Buffer.concat([header, directory, ...bodies]);
}

const packed = readFileSync(shippedPath('aleo-latin-400-normal.woff2'));

describe('a font for platforms that read no WOFF', () => {
  it('has the letters of the WOFF2 that it was, as a font library reads both', async () => {
    const plain = Buffer.from(await plainFont(packed));
    expect(plain.readUInt32BE(0)).toBe(0x00010000);
    const [font, before] = [create(plain) as Font, create(packed) as Font];
    expect(font.familyName).toBe(before.familyName);
    const widthOf = (each: Font) => each.layout('Skerrivane 07:40').advanceWidth;
    expect(widthOf(font)).toBe(widthOf(before));
  });

  it('keeps its letters when others are unpacked at the same time', async () => {
    const others = ['commissioner-latin-400-normal.woff2', 'aleo-latin-700-normal.woff2'].map((file) =>
      readFileSync(shippedPath(file)),
    );
    const [first, ...rest] = await Promise.all([packed, ...others, packed].map(plainFont));
    expect(Buffer.compare(first!, rest.at(-1)!)).toBe(0);
    expect(rest.map((font) => (create(Buffer.from(font)) as Font).familyName)).toEqual([
      'Commissioner Thin',
      'Aleo',
      'Aleo',
    ]);
  });

  it('is unpacked from WOFF, and otherwise as it was', async () => {
    const plain = Buffer.from(await plainFont(packed));
    const again = Buffer.from(await plainFont(asWoff(plain)));
    expect((create(again) as Font).layout('Auk').advanceWidth).toBe(
      (create(plain) as Font).layout('Auk').advanceWidth,
    );
    expect(again.subarray(0, 12)).toEqual(plain.subarray(0, 12));
    expect(await plainFont(plain)).toBe(plain);
  });

  it('is refused where it is cut off, or holds nothing', async () => {
    const woff = asWoff(Buffer.from(await plainFont(packed)));
    await expect(plainFont(woff.subarray(0, 200))).rejects.toThrow();
    const empty = Buffer.from(woff);
    empty.writeUInt16BE(0, 12);
    await expect(plainFont(empty)).rejects.toThrow('no tables');
    await expect(plainFont(packed.subarray(0, 400))).rejects.toThrow();
    // The next font is unpacked nevertheless.
    expect((await plainFont(packed)).length).toBeGreaterThan(1000);
  });
});
