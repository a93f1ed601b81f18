import { crc32, deflateSync } from 'node:zlib';
import { strToU8 } from 'fflate';
import sharp from 'sharp';
import { CROWDS, CYCLES, DEEP, ENTITIES, GOOD, NUMBERS, OUTSIDE, SCRIPTS, svg, TOWERS } from './hostileSvg';
import { archives } from './hostileArchives';

/** A file that wants to harm who reads it, or was harmed itself. */
export interface HostileFile {
  readonly name: string;
  readonly bytes: Uint8Array;
}

const ENCODINGS: Record<string, Uint8Array> = {
  'utf16-le.svg': Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(GOOD, 'utf16le')]),
  'utf16-be.svg': Buffer.concat([Buffer.from([0xfe, 0xff]), Buffer.from(GOOD, 'utf16le').swap16()]),
  'utf16-bare.svg': Buffer.from(GOOD, 'utf16le'),
  'utf8-mark.svg': Buffer.from(`\ufeff${GOOD}`),
  'latin1.svg': Buffer.from(`<?xml version="1.0" encoding="ISO-8859-1"?>${GOOD}`, 'latin1'),
  'utf8-broken.svg': Buffer.from(GOOD, 'latin1'),
  'encoding-unknown.svg': Buffer.from(`<?xml version="1.0" encoding="ternholm"?>${GOOD}`),
  'null-bytes.svg': Buffer.from(GOOD.replace('Wörter', 'a\0b')),
  'null-only.svg': new Uint8Array(100_000),
  'empty.svg': new Uint8Array(),
  'one-byte.svg': strToU8('<'),
  'controls.svg': Buffer.from(GOOD.replace('Wörter', '\x01\x02\x1b')),
  'half-surrogate.svg': Buffer.concat([
    Buffer.from([0xff, 0xfe]),
    Buffer.from(GOOD.replace('W', '\ud800'), 'utf16le'),
  ]),
  'truncated.svg': Buffer.from(GOOD.slice(0, -20)),
  'text.svg': strToU8('Departures from Ternholm'),
  'html.svg': strToU8('<!doctype html><html><body><svg/></body></html>'),
};

/** Every file of the set; those that must be packed are packed here. */
export async function hostileFiles(): Promise<HostileFile[]> {
  const texts = { ...SCRIPTS, ...OUTSIDE, ...ENTITIES, ...CYCLES, ...DEEP, ...TOWERS, ...NUMBERS, ...CROWDS };
  const packed = { ...ENCODINGS, ...(await bitmaps()), ...archives(await redPng()) };
  return [
    ...Object.entries(texts).map(([name, text]) => ({ name, bytes: strToU8(text) })),
    ...Object.entries(packed).map(([name, bytes]) => ({ name, bytes })),
  ];
}

function redPng(): Promise<Buffer> {
  return sharp({ create: { width: 20, height: 20, channels: 4, background: '#f00' } })
    .png()
    .toBuffer();
}

async function bitmaps(): Promise<Record<string, Uint8Array>> {
  const photo = sharp({ create: { width: 300, height: 200, channels: 3, background: '#8ab' } });
  const [png, jpeg, webp] = [
    await photo.clone().png().toBuffer(),
    await photo.clone().jpeg().toBuffer(),
    await photo.clone().webp().toBuffer(),
  ];
  const bomb = pixelBomb();
  const claims = Buffer.from(png);
  claims.writeUInt32BE(0x7fffffff, 16);
  claims.writeUInt32BE(0x7fffffff, 20);
  const half = (bytes: Uint8Array) => bytes.subarray(0, bytes.length >> 1);
  const image = (type: string, bytes: Uint8Array) =>
    strToU8(
      svg(
        `<image width="50" height="50" href="data:${type};base64,${Buffer.from(bytes).toString('base64')}"/>`,
      ),
    );
  return {
    'truncated.png': half(png),
    'truncated.jpg': half(jpeg),
    'truncated.webp': half(webp),
    'header-only.png': png.subarray(0, 33),
    'claims.png': claims,
    'pixel-bomb.png': bomb,
    'pixel-bomb.svg': image('image/png', bomb),
    'claims.svg': image('image/png', claims),
    'truncated-images.svg': image('image/jpeg', half(jpeg)),
    'png-named.svg': png,
    'jpeg-named.png': jpeg,
    'svg-named.png': strToU8(GOOD),
    'webp-named.ora': webp,
    'type-lies.svg': image('image/svg+xml', png),
  };
}

/** A black PNG of 30,000 × 30,000 px of one bit: 100 KB that would fill gigabytes. Source: PNG 3, §5 and §11.2. */
function pixelBomb(): Uint8Array {
  const side = 30_000;
  const chunk = (type: string, data: Uint8Array) => {
    const body = Buffer.concat([Buffer.from(type), data]);
    const frame = Buffer.alloc(8);
    frame.writeUInt32BE(data.length, 0);
    frame.writeUInt32BE(crc32(body), 4);
    return Buffer.concat([frame.subarray(0, 4), body, frame.subarray(4)]);
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(side, 0);
  header.writeUInt32BE(side, 4);
  header[8] = 1;
  const rows = Buffer.alloc((side / 8 + 1) * side);
  return Buffer.concat([
    Buffer.from('\x89PNG\r\n\x1a\n', 'latin1'),
    chunk('IHDR', header),
    chunk('IDAT', deflateSync(rows, { level: 9 })),
    chunk('IEND', new Uint8Array()),
  ]);
}
