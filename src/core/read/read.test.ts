import { gzipSync, strToU8, zipSync } from 'fflate';
import sharp from 'sharp';
import { codesOf, layerNamed, readBytes, readCase } from '../../../tests/support/mockups';
import type { BitmapLayer } from '../mockup/layer';
import { layersOf } from '../mockup/walk';
import { measureScreen } from '../mockup/bounds';
import { ReadError } from './readError';

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 4, background: '#a40' } });
const SVG =
  '<svg xmlns="http://www.w3.org/2000/svg" width="30" height="20"><rect id="deck" width="9" height="9"/></svg>';

function refusal(bytes: Uint8Array): ReadError {
  try {
    readBytes(bytes);
  } catch (error) {
    if (error instanceof ReadError) return error;
    throw error;
  }
  throw new Error('It was read.');
}

/** An OpenRaster file of these entries around a stack. */
async function openRaster(stack: string, entries: Record<string, Uint8Array> = {}): Promise<Uint8Array> {
  const red = new Uint8Array(await picture(10, 6).png().toBuffer());
  return zipSync({
    mimetype: [strToU8('image/openraster'), { level: 0 }],
    'stack.xml': strToU8(
      `<?xml version="1.0"?><image version="0.0.5" w="100" h="80"><stack>${stack}</stack></image>`,
    ),
    'data/red.png': red,
    ...entries,
  });
}

describe('packed SVG', () => {
  it('is read as it would be unpacked', () => {
    expect(layerNamed(readBytes(gzipSync(strToU8(SVG))), 'deck').kind).toBe('shape');
  });

  it('is refused when it is broken', () => {
    expect(refusal(gzipSync(strToU8(SVG)).subarray(0, 30)).code).toBe('broken-archive');
  });

  it('is refused before a bomb has gone off', () => {
    const bomb = gzipSync(new Uint8Array(80 * 1024 * 1024), { level: 9 });
    expect(bomb.length).toBeLessThan(200_000);
    expect(refusal(bomb).message).toBe(
      'The file unpacks to more than 64 MB; split the mockup or shrink its bitmaps.',
    );
  });
});

describe('OpenRaster files', () => {
  const LAYER = '<layer name="red" src="data/red.png"/>';

  it('that are encrypted are refused', async () => {
    const bytes = await openRaster(LAYER);
    // The flags of the first entry (APPNOTE §4.3.7).
    bytes[6]! |= 1;
    expect(refusal(bytes).code).toBe('encrypted');
  });

  it('of another type are refused', async () => {
    expect(refusal(await openRaster(LAYER, { mimetype: strToU8('application/epub+zip') })).message).toBe(
      'This is a ZIP of another kind, which Orden does not read; save it as SVG, OpenRaster, PNG, JPEG or WebP and open that.',
    );
  });
});

describe('flat pictures', () => {
  it.each(['png', 'jpeg', 'webp'] as const)('%s is one screen with one bitmap', async (format) => {
    const reading = readBytes(
      new Uint8Array(await picture(40, 30).toFormat(format).toBuffer()),
      `photo.${format}`,
    );
    expect(reading.mockup).toMatchObject({
      format: 'flat',
      screens: [{ name: 'photo', width: 40, height: 30 }],
    });
    expect(layersOf(reading.mockup)).toMatchObject([
      { kind: 'bitmap', sourceName: 'photo', box: { width: 40, height: 30 } },
    ]);
  });

  it('is known by its bytes, whatever its name says', async () => {
    expect(readBytes(new Uint8Array(await picture(4, 3).png().toBuffer()), 'lie.svg').mockup.format).toBe(
      'flat',
    );
  });

  it('is refused when it is cut off', async () => {
    const png = new Uint8Array(await picture(40, 30).png().toBuffer());
    expect(refusal(png.subarray(0, 12)).message).toMatch(
      /^Orden cannot read this file: its picture is broken\./,
    );
  });
});

describe('OpenRaster', () => {
  it('keeps stacks, names, order, offsets, opacity, visibility and blending', async () => {
    const reading = readBytes(
      await openRaster(`<layer name="top" src="data/red.png" x="-4" y="70" opacity="0.5"/>
        <stack name="low" isolation="isolate" x="3" composite-op="svg:multiply"><layer name="inner" src="data/red.png" visibility="hidden"/></stack>`),
    );
    expect(layersOf(reading.mockup).map((layer) => layer.sourceName)).toEqual(['low', 'inner', 'top']);
    expect(layerNamed(reading, 'low')).toMatchObject({
      kind: 'group',
      isolated: true,
      blend: 'multiply',
      transform: [1, 0, 0, 1, 3, 0],
    });
    expect(layerNamed(reading, 'inner').visible).toBe(false);
    expect(layerNamed(reading, 'top')).toMatchObject({ opacity: 0.5, box: { width: 10, height: 6 } });
    const { painted } = measureScreen(reading.mockup.screens[0]!, {}).get(layerNamed(reading, 'top').id)!;
    expect(painted).toEqual({ x: -4, y: 70, width: 10, height: 6 });
  });

  it('keeps equal bitmaps once', async () => {
    const reading = readBytes(
      await openRaster('<layer name="a" src="data/red.png"/><layer name="b" src="data/red.png" x="20"/>'),
    );
    expect(Object.keys(reading.mockup.bitmaps)).toEqual(['bitmap-1']);
  });

  it('reports unsupported compositions, missing and broken entries, and unknown elements', async () => {
    const stack =
      '<layer name="a" src="data/red.png" composite-op="own:grain"/><layer name="b" src="data/gone.png"/><layer name="c" src="data/torn.png"/><filter/>';
    expect(codesOf(readBytes(await openRaster(stack, { 'data/torn.png': strToU8('torn') })))).toEqual([
      'element-unknown',
      'bitmap-broken',
      'bitmap-broken',
      'composite-replaced',
    ]);
  });

  it('passes on compositions without a CSS equivalent, to be baked into one bitmap', async () => {
    // Source: OpenRaster 0.0.5, "Layers stack", composite-op svg:dst-out (Porter-Duff "destination out").
    const stack =
      '<layer name="a" src="data/red.png" composite-op="svg:dst-out"/><layer name="b" src="data/red.png"/>';
    const reading = readBytes(await openRaster(stack));
    const { id } = layerNamed(reading, 'a');
    expect(reading.bakes).toEqual([{ group: reading.mockup.screens[0]!.id, layer: id, operator: 'dst-out' }]);
  });

  it.each([
    [
      'a ZIP without a stack',
      zipSync({ 'readme.txt': strToU8('x') }),
      'The OpenRaster file lacks stack.xml; save the mockup again.',
    ],
    ['a broken stack', zipSync({ 'stack.xml': strToU8('<image><stack>') }), /^The XML is broken at line 1/],
    [
      'a stack without size',
      zipSync({ 'stack.xml': strToU8('<image><stack/></image>') }),
      /^The screen has no usable size \(w=""\)/,
    ],
    [
      'an empty stack',
      zipSync({ 'stack.xml': strToU8('<image w="9" h="9"><stack/></image>') }),
      /^There is nothing to draw/,
    ],
    [
      'a cut ZIP',
      zipSync({ 'stack.xml': strToU8('<image/>') }).subarray(0, 40),
      'The file cannot be unpacked: its ZIP is broken. Save the mockup again.',
    ],
  ])('refuses %s', (_, bytes, message) => {
    if (typeof message === 'string') expect(refusal(bytes).message).toBe(message);
    else expect(refusal(bytes).message).toMatch(message);
  });

  it('takes names that point outside for mere names', async () => {
    const reading = readBytes(
      await openRaster('<layer name="a" src="../../etc/passwd"/><layer name="b" src="data/red.png"/>'),
    );
    expect(codesOf(reading)).toEqual(['bitmap-broken']);
  });

  it('reads one that no one here made, with every layer at its place', () => {
    const reading = readCase('mobile-dashboard.ora');
    const layers = layersOf(reading.mockup);
    // Counted in its stack.xml: 17 stacks, the root among them, and 39 layers.
    expect(layers.filter((layer) => layer.kind === 'group')).toHaveLength(17);
    expect(layers.filter((layer): layer is BitmapLayer => layer.kind === 'bitmap')).toHaveLength(39);
    expect(layerNamed(reading, 'Warm-tint')).toMatchObject({
      opacity: 0.8,
      blend: 'multiply',
      transform: [1, 0, 0, 1, 0, 507],
    });
  });
});
