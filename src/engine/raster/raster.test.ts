/** @jest-environment node */
import { idAt } from '../../../tests/support/ids';
import { zipSync, strToU8 } from 'fflate';
import sharp from 'sharp';
import { layersOf } from '../../core/mockup/walk';
import type { BitmapLayer } from '../../core/mockup/layer';
import { createFontBook } from '../fonts/fontBook';
import { readMockup } from '../readMockup';
import { visibleBox } from './visibleBox';

const fonts = createFontBook();

function flat(width: number, height: number, background: string, density?: number): Promise<Buffer> {
  const image = sharp({ create: { width, height, channels: 4, background } });
  return (density ? image.withMetadata({ density }) : image).png().toBuffer();
}

/** A page of 100×80 px, transparent except for a box. */
async function boxOnClear(
  left: number,
  top: number,
  width: number,
  height: number,
  colour: string,
): Promise<Buffer> {
  const input = await flat(width, height, colour);
  return sharp({ create: { width: 100, height: 80, channels: 4, background: '#0000' } })
    .composite([{ input, left, top }])
    .png()
    .toBuffer();
}

async function openRaster(stack: string, pictures: Record<string, Uint8Array>) {
  const files = Object.fromEntries(
    Object.entries(pictures).map(([name, bytes]) => [
      name === 'mergedimage' ? `${name}.png` : `data/${name}.png`,
      new Uint8Array(bytes),
    ]),
  );
  const zip = zipSync({
    mimetype: [strToU8('image/openraster'), { level: 0 }],
    'stack.xml': strToU8(`<image version="0.0.5" w="100" h="80"><stack>${stack}</stack></image>`),
    ...files,
  });
  return readMockup(zip, 'poster.ora', { book: fonts });
}

function bitmapsOf(reading: Awaited<ReturnType<typeof openRaster>>): BitmapLayer[] {
  return layersOf(reading.mockup).filter((layer): layer is BitmapLayer => layer.kind === 'bitmap');
}

describe('the visible part of a bitmap', () => {
  it('is the box around every pixel that is not fully transparent', async () => {
    expect(await visibleBox(await boxOnClear(10, 20, 30, 5, '#f00'))).toEqual({
      x: 10,
      y: 20,
      width: 30,
      height: 5,
    });
    expect(await visibleBox(await boxOnClear(0, 79, 100, 1, '#00000002'))).toEqual({
      x: 0,
      y: 79,
      width: 100,
      height: 1,
    });
    expect(await visibleBox(await boxOnClear(0, 0, 1, 1, '#0000'))).toBeNull();
    expect(
      await visibleBox(
        await sharp(await flat(9, 7, '#fff'))
          .jpeg()
          .toBuffer(),
      ),
    ).toEqual({ x: 0, y: 0, width: 9, height: 7 });
  });
});

describe('layers of an OpenRaster file', () => {
  it('are trimmed to their visible part, at their true place, and empty ones are reported', async () => {
    const reading = await openRaster(
      '<layer name="Buoy" src="data/a.png" x="-5" y="3"/><layer name="Nothing" src="data/b.png"/>',
      {
        a: await boxOnClear(10, 20, 30, 5, '#f00'),
        b: await boxOnClear(0, 0, 1, 1, '#0000'),
      },
    );
    const [nothing, buoy] = bitmapsOf(reading);
    expect(buoy).toMatchObject({
      transform: [1, 0, 0, 1, -5, 3],
      frame: { x: 10, y: 20, width: 30, height: 5 },
    });
    expect(nothing!.frame).toMatchObject({ width: 0, height: 0 });
    expect(reading.findings).toMatchObject([{ code: 'layer-empty', layer: idAt('/Nothing') }]);
  });

  it('take tags from the brackets of their names', async () => {
    const reading = await openRaster('<layer name="Wind [data-slot=wind]" src="data/a.png"/>', {
      a: await flat(100, 80, '#f00'),
    });
    expect(bitmapsOf(reading)[0]!.path).toBe('/Wind');
  });

  it('are compared with the merged picture of their program', async () => {
    const red = await boxOnClear(10, 10, 50, 40, '#f00');
    const read = async (mergedimage: Buffer) =>
      (await openRaster('<layer name="Buoy" src="data/red.png"/>', { red, mergedimage })).findings;
    expect(await read(red)).toEqual([]);
    expect(await read(await boxOnClear(10, 10, 50, 20, '#f00'))).toMatchObject([
      { code: 'merged-differs', data: { percent: 12.5 } },
    ]);
    expect(await read(Buffer.from('torn'))).toEqual([]);
  });

  // Source: Compositing and Blending Level 1, §9.1.4 (Porter-Duff operators), worked out for each pixel by hand.
  it.each([
    ['svg:dst-in', [255, 0, 0, 255], [0, 0, 0, 0]],
    ['svg:dst-out', [0, 0, 0, 0], [255, 0, 0, 255]],
    ['svg:src-atop', [0, 0, 255, 255], [255, 0, 0, 255]],
  ])('are drawn into one where CSS has no %s', async (operator, inside, outside) => {
    const reading = await openRaster(
      `<stack name="Sign" isolation="isolate"><layer name="Top" composite-op="${operator}" src="data/top.png"/><layer name="Ground" src="data/ground.png"/></stack>`,
      { top: await boxOnClear(0, 0, 50, 80, '#00f'), ground: await boxOnClear(0, 0, 90, 70, '#f00') },
    );
    const layers = bitmapsOf(reading);
    expect(layers).toHaveLength(1);
    expect(reading.findings).toMatchObject([
      { code: 'composite-baked', layer: idAt('/Sign/Top'), data: { count: 1 } },
    ]);
    const drawn = sharp(reading.assets.get(layers[0]!.bitmap)!).ensureAlpha();
    const { data, info } = await drawn.raw().toBuffer({ resolveWithObject: true });
    const { e, f } = { e: layers[0]!.transform[4], f: layers[0]!.transform[5] };
    const at = (x: number, y: number) => [
      ...data.subarray(((y - f) * info.width + x - e) * 4, ((y - f) * info.width + x - e) * 4 + 4),
    ];
    const seen = (pixel: number[]) => (pixel[3] === 0 ? [0, 0, 0, 0] : pixel);
    expect(seen(at(20, 20))).toEqual(inside);
    expect(seen(at(70, 20))).toEqual(outside);
  });
});

describe('flat pictures', () => {
  it.each([
    [72, 120, 1],
    [144, 60, 2],
    [192, 60, 2],
    [216, 40, 3],
    [300, 120, 1],
  ])('of %d dpi are shown %d px wide', async (dpi, width, scale) => {
    const reading = await readMockup(await flat(120, 90, '#fff', dpi), 'shot.png', { book: fonts });
    expect(reading.mockup.screens[0]).toMatchObject({ width, height: 90 / scale });
    expect(reading.findings.map(({ code }) => code)).toEqual(scale === 1 ? [] : ['resolution']);
  });
});
