import { imageSize } from 'image-size';
import { createFontBook } from '../fonts/fontBook';
import { produce } from '../produce';
import { readInside } from '../../../tests/support/mockups';

/** A picture with some 400 colours: a gradient behind a shape. */
const BUOY = `<linearGradient id="g"><stop stop-color="#0af"/><stop offset="1" stop-color="#fa0"/></linearGradient>
  <g id="buoy" data-tags="picture"><circle cx="50" cy="50" r="40" fill="url(#g)"/><path d="M20 50L50 20L80 50Z" fill="#fff"/></g>`;

it('every format is what it is called, of the size that was said', async () => {
  const { mockup, assets } = readInside(BUOY);
  const formats = ['png', 'png8', 'jpeg', 'webp', 'avif', 'svg'] as const;
  const recipe = {
    name: 'all',
    files: formats.map((format) => ({ format, size: '2x', folder: format, quality: 80 })),
  };
  const options = {
    arrangement: 'nested',
    target: 'html',
    pictures: { recipes: [recipe], usual: ['all'] },
  } as const;
  const book = createFontBook();
  const product = await produce({ mockup, assets, tags: new Map(), options, book, readFindings: [] });
  const read = (format: string) => {
    const { bytes } = product.files.find(({ path }) => path.startsWith(`${format}/`))!;
    // By the signature of the file, as a reader of another project finds it (image-size).
    const { type, width, height } = imageSize(bytes);
    return { type, width, height, bytes: bytes.length };
  };
  expect(product.findings).toEqual([]);
  for (const [format, type] of [
    ['png', 'png'],
    ['png8', 'png'],
    ['jpeg', 'jpg'],
    ['webp', 'webp'],
    ['avif', 'avif'],
  ] as const)
    expect(read(format)).toMatchObject({ type, width: 160, height: 160 });
  expect(read('svg')).toMatchObject({ type: 'svg' });
  // Common practice, no source: a palette and the lossy formats are smaller than 24 bits with alpha.
  for (const format of ['png8', 'jpeg', 'webp', 'avif'])
    expect(read(format).bytes).toBeLessThan(read('png').bytes);
});
