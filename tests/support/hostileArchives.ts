import { constants, deflateRawSync, gzipSync } from 'node:zlib';
import { strToU8, zipSync } from 'fflate';
import { GOOD, LAUGHS, nested, ODD } from './hostileSvg';

const STACK = (content: string, size = 'w="40" h="40"') =>
  strToU8(`<image version="0.0.5" ${size}><stack>${content}</stack></image>`);

const MIMETYPE = { mimetype: [strToU8('image/openraster'), { level: 0 }] as [Uint8Array, { level: 0 }] };

export function archives(png: Uint8Array): Record<string, Uint8Array> {
  const ora = (files: Record<string, Uint8Array>) => zipSync({ ...MIMETYPE, ...files });
  const layer = (src: string) => `<layer src="${src}"/>`;
  const good = ora({ 'stack.xml': STACK(layer('data/a.png')), 'data/a.png': png });
  return {
    'zip-bomb.ora': zipBomb(900 * 1024 * 1024),
    'zip-bomb-lies.ora': zipBomb(1000),
    'zip-crowd.ora': ora({
      'stack.xml': STACK(layer('data/a.png')),
      'data/a.png': png,
      ...Object.fromEntries(Array.from({ length: 30_000 }, (_, at) => [`x/${at}`, new Uint8Array()])),
    }),
    'zip-slip.ora': ora({
      'stack.xml': STACK(
        ['../../../../etc/passwd', '/etc/passwd', 'data/../../a.png', 'C:\\a.png', 'file:///etc/passwd']
          .map(layer)
          .join(''),
      ),
      '../../../../etc/passwd': png,
      '/etc/passwd': png,
    }),
    'stack-deep.ora': ora({
      'stack.xml': STACK(nested(100_000, '<stack>', '</stack>', layer('data/a.png'))),
      'data/a.png': png,
    }),
    'stack-crowd.ora': ora({ 'stack.xml': STACK(layer('data/a.png').repeat(8_000)), 'data/a.png': png }),
    'stack-entity.ora': ora({
      'stack.xml': strToU8(
        `<!DOCTYPE image [<!ENTITY l0 "ha">${LAUGHS}]><image w="9" h="9"><stack><layer name="&l9;" src="data/a.png"/></stack></image>`,
      ),
      'data/a.png': png,
    }),
    'stack-giant.ora': ora({
      'stack.xml': STACK(layer('data/a.png'), 'w="1000000000" h="1000000000"'),
      'data/a.png': png,
    }),
    'stack-numbers.ora': ora({
      'stack.xml': STACK(
        ODD.map((n) => `<layer src="data/a.png" x="${n}" y="${n}" opacity="${n}"/>`).join(''),
      ),
      'data/a.png': png,
    }),
    'layer-no-picture.ora': ora({ 'stack.xml': STACK(layer('data/a.png')), 'data/a.png': strToU8('<svg/>') }),
    'truncated.ora': good.subarray(0, good.length >> 1),
    'zip-broken.ora': Uint8Array.from(good, (byte, at) => (at > 60 && at % 7 === 0 ? byte ^ 0x55 : byte)),
    'no-stack.ora': ora({ 'data/a.png': png }),
    'gzip-bomb.svgz': gzipSync(Buffer.alloc(300 * 1024 * 1024, 32), { level: 1 }),
    'gzip-twice.svgz': gzipSync(gzipSync(GOOD)),
    'gzip-truncated.svgz': gzipSync(GOOD).subarray(0, 60),
    'gzip-tail.svgz': Buffer.concat([gzipSync(GOOD), Buffer.alloc(1000, 7)]),
  };
}

/** A layer of 900 MB of zeros; `claim` is the size in the archive's directory. */
function zipBomb(claim: number): Uint8Array {
  // A fully flushed block stands for itself, so it may follow itself; the last one is empty (RFC 1951, §3.2.3 and §3.2.6).
  const block = deflateRawSync(Buffer.alloc(2 ** 20), { level: 1, finishFlush: constants.Z_FULL_FLUSH });
  const packed = Buffer.concat([...Array<Buffer>(900).fill(block), Buffer.from([0x03, 0x00])]);
  const stack = STACK('<layer src="data/a.png"/>');
  return zipOf([
    { name: 'mimetype', method: 0, bytes: strToU8('image/openraster'), size: 16 },
    { name: 'stack.xml', method: 0, bytes: stack, size: stack.length },
    { name: 'data/a.png', method: 8, bytes: packed, size: claim },
  ]);
}

interface RawEntry {
  readonly name: string;
  /** 0 stored, 8 deflated. */
  readonly method: 0 | 8;
  readonly bytes: Uint8Array;
  readonly size: number;
}

/** An archive whose headers may lie. Source: the ZIP file format specification (APPNOTE 6.3), §4.3.7, §4.3.12, §4.3.16. */
function zipOf(entries: readonly RawEntry[]): Uint8Array {
  const locals: Buffer[] = [];
  const centrals: Buffer[] = [];
  let offset = 0;
  for (const { name, method, bytes, size } of entries) {
    const shared = Buffer.alloc(26);
    shared.writeUInt16LE(20, 0);
    shared.writeUInt16LE(method, 4);
    shared.writeUInt32LE(bytes.length, 14);
    shared.writeUInt32LE(size, 18);
    shared.writeUInt16LE(name.length, 22);
    const local = Buffer.concat([Buffer.from('PK\x03\x04'), shared, Buffer.from(name), bytes]);
    const rest = Buffer.alloc(14);
    rest.writeUInt32LE(offset, 10);
    centrals.push(Buffer.concat([Buffer.from('PK\x01\x02\x14\x00'), shared, rest, Buffer.from(name)]));
    locals.push(local);
    offset += local.length;
  }
  const directory = Buffer.concat(centrals);
  const end = Buffer.alloc(22);
  end.write('PK\x05\x06');
  end.writeUInt16LE(entries.length, 8);
  end.writeUInt16LE(entries.length, 10);
  end.writeUInt32LE(directory.length, 12);
  end.writeUInt32LE(offset, 16);
  return Buffer.concat([...locals, directory, end]);
}
