import { shelveBitmap, type BitmapShelf } from './shelveBitmap';

/** The head of a PNG, which says its size (PNG 3, §11.2.1). */
function png(width: number, height: number, mark = 0): Uint8Array {
  const bytes = new Uint8Array(33);
  bytes.set([137, 80, 78, 71, 13, 10, 26, 10, 0, 0, 0, 13, 73, 72, 68, 82]);
  const view = new DataView(bytes.buffer);
  view.setUint32(16, width);
  view.setUint32(20, height);
  view.setUint32(29, mark);
  return bytes;
}

const shelf = (): BitmapShelf => ({ bitmaps: new Map(), assets: new Map() });

it('keeps equal bytes once', () => {
  const one = shelf();
  expect(shelveBitmap(png(40, 20), one)).toEqual(shelveBitmap(png(40, 20), one));
  expect(one.bitmaps.size).toBe(1);
});

it('refuses a picture of more than a hundred megapixels, though its file is small', () => {
  expect(() => shelveBitmap(png(16_000, 16_000), shelf())).toThrow(
    'One picture of the mockup has more than 100 megapixels, which is the most that Orden draws; ' +
      'shrink what is too large and open the mockup again.',
  );
});

it('refuses the picture that is one too many', () => {
  const one = shelf();
  for (let at = 0; at < 10; at++) shelveBitmap(png(10_000, 10_000, at), one);
  expect(() => shelveBitmap(png(10, 10, 11), one)).toThrow(/together more than 1000 megapixels/);
});
