import path from 'node:path';
import fc from 'fast-check';
import sharp from 'sharp';
import { idEnding } from '../../../tests/support/ids';
import { readInside } from '../../../tests/support/mockups';
import { produce } from '../../engine/produce';
import { relativePath } from './bitmapsBeside';

async function photo(): Promise<string> {
  const create = { width: 16, height: 12, channels: 3, background: '#27a' } as const;
  return `data:image/jpeg;base64,${(await sharp({ create }).jpeg().toBuffer()).toString('base64')}`;
}

async function build() {
  const image = `<image width="64" height="48" href="${await photo()}"/>`;
  const reading = readInside(
    `<g data-name="quay">${image}<circle cx="32" cy="24" r="9" fill="#fff"/></g>
     <g data-name="pier" transform="translate(100 0)">${image}<rect x="4" y="4" width="20" height="9" fill="#fff"/></g>`,
  );
  const beside = {
    name: 'drawings',
    files: [{ format: 'svg', size: '1x', folder: 'art/drawn', svg: { bitmaps: 'beside' } }],
  } as const;
  const tags = new Map(
    ['/quay', '/pier'].map((name) => [idEnding(reading.mockup, name), { outcome: 'picture' as const }]),
  );
  const pictures = { recipes: [beside], usual: ['drawings'] };
  return produce({
    ...reading,
    tags,
    options: { arrangement: 'flow', target: 'html', pictures },
    readFindings: [],
  });
}

describe('bitmaps beside an SVG', () => {
  it('are one file, as it came, for all that show it', async () => {
    const { files, pictures } = await build();
    const bitmaps = pictures.filter(({ title }) => title === 'bitmap');
    expect(bitmaps).toMatchObject([
      { file: 'pictures/quay-bitmap.jpg', format: 'jpeg', width: 16, height: 12, uses: 2 },
    ]);
    const bytes = files.find((file) => file.path === 'pictures/quay-bitmap.jpg')!.bytes;
    expect(await sharp(bytes).metadata()).toMatchObject({ format: 'jpeg', width: 16, height: 12 });
  });

  it('are where every SVG says, from its own folder', async () => {
    const { files } = await build();
    for (const name of ['art/drawn/quay.svg', 'art/drawn/pier.svg']) {
      const svg = new TextDecoder().decode(files.find((file) => file.path === name)!.bytes);
      const href = /href="([^"]*)"/.exec(svg)![1]!;
      expect(path.posix.join(path.posix.dirname(name), href)).toBe('pictures/quay-bitmap.jpg');
      expect(svg).not.toMatch(/asset:|data:/);
    }
  });

  it('are the file that a picture has of them anyway', async () => {
    const reading = readInside(`<image data-name="quay" width="64" height="48" href="${await photo()}"/>`);
    const recipe = {
      name: 'drawings',
      files: [{ format: 'svg', size: '1x', svg: { bitmaps: 'beside' } }],
    } as const;
    const pictures = { recipes: [recipe], usual: ['drawings'] };
    const options = { arrangement: 'flow', target: 'html', pictures } as const;
    const { files } = await produce({ ...reading, tags: new Map(), options, readFindings: [] });
    const paths = files.map((file) => file.path).filter((each) => each.startsWith('pictures/'));
    expect(paths.toSorted()).toEqual(['pictures/quay.jpg', 'pictures/quay.svg']);
    const svg = new TextDecoder().decode(files.find((file) => file.path === 'pictures/quay.svg')!.bytes);
    expect(svg).toContain('href="quay.jpg"');
  });

  it('are not shown by the page: an SVG that is a picture loads nothing (SVG 2, §2.2.1)', async () => {
    const { files } = await build();
    const html = new TextDecoder().decode(files.find((file) => file.path === 'index.html')!.bytes);
    expect(html).not.toContain('art/drawn');
    expect(html).toMatch(/src="pictures\/quay\.\w+"/);
  });
});

it('relative paths lead where they should, by the rules of paths', () => {
  const segments = fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 3 });
  fc.assert(
    fc.property(segments, segments, (from, to) => {
      const [start, end] = [[...from, 'x.svg'].join('/'), [...to, 'y.png'].join('/')];
      expect(path.posix.join(path.posix.dirname(start), relativePath(start, end))).toBe(end);
      expect(relativePath(start, end)).toBe(path.posix.relative(path.posix.dirname(start), end));
    }),
  );
});
