import type { ConvertOptions } from '../core/convert';
import { idAt } from '../../tests/support/ids';
import sharp from 'sharp';
import { readDemo, readInside } from '../../tests/support/mockups';
import { createFontBook } from './fonts/fontBook';
import { SHIPPED, shippedPath } from './fonts/shipped';
import { checkedFile } from './pictures/checkedFile';
import { produce } from './produce';
import { readWithPicture } from './readWithPicture';

const encoder = new TextEncoder();

describe('the font book', () => {
  const book = createFontBook();

  it('takes a shipped face before anything else, and the nearest weight', () => {
    expect(book.face({ families: ['Commissioner'], weight: 650, italic: false })).toMatchObject({
      source: 'shipped',
      weight: 700,
    });
    expect(book.face({ families: ['commissioner'], weight: 100, italic: true })).toMatchObject({
      weight: 300,
      italic: false,
    });
    // CSS Fonts 4, §5.2: 450 looks up to 500 first.
    expect(book.face({ families: ['Aleo'], weight: 450, italic: true })).toMatchObject({
      weight: 500,
      italic: true,
    });
  });

  it('skips missing families', () => {
    expect(
      book.face({ families: ['Nowhere Grotesk', 'Aleo', 'serif'], weight: 400, italic: false }).family,
    ).toBe('Aleo');
  });

  it('resolves generic families, and sets baselines without fontconfig', () => {
    expect(book.face({ families: ['sans-serif'], weight: 400, italic: false }).source).toBe('system');
    const bare = createFontBook({ faces: [], generic: () => null });
    // Arial's own figures in units of its em of 2048 (hhea, read from the font by @capsizecss/metrics).
    expect(bare.face({ families: ['Arial'], weight: 400, italic: false })).toMatchObject({
      source: 'known',
      metrics: { unitsPerEm: 2048, ascent: 1854, descent: 434 },
    });
  });

  it('takes a metric twin for a missing family', () => {
    const twin = createFontBook({
      faces: [
        {
          families: ['Liberation Sans'],
          weight: 400,
          italic: false,
          path: shippedPath(SHIPPED[0]!.file),
          postscriptName: '',
          fullName: '',
        },
      ],
      generic: () => null,
    });
    expect(twin.face({ families: ['Arial'], weight: 400, italic: false }).family).toBe('Liberation Sans');
  });

  it('measures with kerning', () => {
    const { id } = book.face({ families: ['Aleo'], weight: 400, italic: false });
    const apart = book.advance(id, 'A', 100) + book.advance(id, 'V', 100);
    expect(book.advance(id, 'AV', 100)).toBeLessThan(apart);
  });

  it('outlines letters about their baseline', () => {
    const { id } = book.face({ families: ['Commissioner'], weight: 400, italic: false });
    expect(book.outline(id, 'o', 20, 0)).toMatch(/^M[\d. -]+/);
    expect(book.outline(id, ' ', 20, 0)).toBe('');
  });

  it('names embedded fonts that cannot be read', () => {
    const { broken } = book.withFonts([
      {
        family: 'Torn',
        weight: 400,
        italic: false,
        source: 'embedded',
        asset: 'font-1',
        bytes: encoder.encode('no font'),
      },
    ]);
    expect(broken).toEqual(['Torn']);
  });

  it.each(SHIPPED.map((face) => face.file))('ships %s', (file) => {
    const face = SHIPPED.find((one) => one.file === file)!;
    expect(book.face({ families: [face.family], weight: face.weight, italic: face.italic })).toMatchObject({
      file,
    });
  });

  it('discloses no other file', () => {
    expect(() => shippedPath('../../../etc/passwd')).toThrow();
    expect(() => shippedPath('aleo-/../../package.json')).toThrow();
  });
});

describe('the files of a build', () => {
  const build = (reading: ReturnType<typeof readInside>, more: Partial<ConvertOptions> = {}) => {
    const { mockup, assets, findings, book } = reading;
    return produce({
      mockup,
      assets,
      tags: new Map(),
      options: { arrangement: 'nested', target: 'html', ...more },
      book,
      readFindings: findings,
    });
  };

  it('are code, pictures, fonts and a manifest that lists them', async () => {
    const product = await build(readDemo());
    const paths = product.files.map((file) => file.path);
    expect(paths).toEqual(
      expect.arrayContaining([
        'index.html',
        'styles.css',
        'orden.json',
        'pictures/ferry-mark.svg',
        'pictures/harbour-photo.jpg',
      ]),
    );
    const manifest = JSON.parse(
      new TextDecoder().decode(product.files.find((file) => file.path === 'orden.json')!.bytes),
    ) as { files: { path: string }[] };
    expect(manifest.files.map((file) => file.path).sort()).toEqual(
      paths.filter((path) => path !== 'orden.json').sort(),
    );
  });

  it('are none of icons that the page holds, which the manifest names', async () => {
    const icon = 'pictures/icon-wind.svg';
    const inPage = await build(readDemo(), { arrangement: 'flow' });
    const manifest = JSON.parse(
      new TextDecoder().decode(inPage.files.find((file) => file.path === 'orden.json')!.bytes),
    ) as { symbols?: string[] };
    expect(manifest.symbols).toContain('icon-wind');
    expect(inPage.files.map((file) => file.path)).not.toContain(icon);
    const asFiles = await build(readDemo(), { arrangement: 'flow', settings: { icons: 'files' } });
    expect(asFiles.files.map((file) => file.path)).toContain(icon);
  });

  it('have the sizes and signatures that the manifest states', async () => {
    const product = await build(readDemo());
    for (const picture of product.pictures) {
      const { bytes } = product.files.find((file) => file.path === picture.file)!;
      const metadata = await sharp(bytes).metadata();
      expect([picture.file, metadata.format, metadata.width, metadata.height, bytes.length]).toEqual([
        picture.file,
        picture.format,
        picture.width,
        picture.height,
        picture.bytes,
      ]);
    }
  });

  it('include fonts with the signature of WOFF2', async () => {
    const product = await build(
      readInside('<text font-family="Red Hat Mono" font-size="20" y="40">mono</text>'),
    );
    const font = product.files.find((file) => file.path.startsWith('fonts/'))!;
    expect(font.path).toBe('fonts/red-hat-mono-latin-400-normal.woff2');
    expect(new TextDecoder('latin1').decode(font.bytes.subarray(0, 4))).toBe('wOF2');
  });

  it('are of every format that a recipe asks for, and are that inside', async () => {
    const every = {
      name: 'every',
      symbols: 'all',
      files: [
        ...(['png', 'png8', 'jpeg', 'webp', 'avif'] as const).map((format, at) => ({
          format,
          size: '1x',
          suffix: `-${at}`,
        })),
        { format: 'pdf', size: '1x' },
        { format: 'svg', size: '1x', svg: { bitmaps: 'embedded', styles: 'block', text: 'text' } },
      ],
    } as const;
    const reading = readInside(
      '<g id="plate" data-tags="[img]"><rect width="40" height="30" fill="#246"/><text x="4" y="20" font-size="12" font-family="Commissioner" fill="#fff">Quay</text></g>',
    );
    const { pictures, files, findings } = await produce({
      ...reading,
      tags: new Map([[idAt('/plate'), { outcome: 'picture' as const }]]),
      options: { arrangement: 'flow', target: 'html', pictures: { recipes: [every], usual: ['every'] } },
      readFindings: [],
    });
    expect(findings.filter(({ code }) => code === 'picture-failed')).toEqual([]);
    expect(pictures.map(({ file }) => file.split('.').at(-1))).toEqual([
      ...['png', 'png', 'jpg', 'webp', 'avif', 'pdf', 'svg', 'svg'],
    ]);
    const textOf = (name: string) => new TextDecoder().decode(files.find(({ path }) => path === name)?.bytes);
    expect(textOf('pictures/plate.svg')).toContain('>Quay</text>');
    expect(textOf('pictures/all.svg')).toContain('<symbol id="plate" viewBox="0 0 40 30">');
    expect(textOf('index.html')).not.toContain('.pdf');
  });

  it('are refused when they are not what they are called', async () => {
    const file = { path: 'a.png', format: 'png', width: 4, height: 4, scale: 1 } as const;
    const jpeg = await sharp({ create: { width: 4, height: 4, channels: 3, background: '#fff' } })
      .jpeg()
      .toBuffer();
    await expect(checkedFile(file, jpeg)).rejects.toThrow('it is no PNG inside');
    const large = await sharp({ create: { width: 8, height: 4, channels: 3, background: '#fff' } })
      .png()
      .toBuffer();
    await expect(checkedFile(file, large)).rejects.toThrow('it has 8×4 px instead of 4×4');
  });

  it('share equal pictures', async () => {
    const product = await build(
      readInside(
        '<path id="a" d="M10 10l9 1l-5 9z"/><path id="b" d="M10 10l9 1l-5 9z" transform="translate(40 20)"/><path id="c" d="M10 10l9 1l-5 9z" opacity=".5" transform="translate(80 20)"/>',
      ),
    );
    expect(product.pictures.map((picture) => picture.file)).toEqual(['pictures/a.svg']);
  });

  it('need no font inside pictures: letters are outlined', async () => {
    const { mockup, assets, book } = readInside(
      '<g id="badge"><circle cx="20" cy="20" r="15"/><text x="10" y="25" font-family="Aleo" font-size="12">new</text></g>',
    );
    const tags = new Map([[idAt('/badge'), { outcome: 'picture' as const }]]);
    const product = await produce({
      mockup,
      assets,
      tags,
      options: { arrangement: 'nested', target: 'html' },
      book,
      readFindings: [],
    });
    const svg = new TextDecoder().decode(
      product.files.find((file) => file.path === 'pictures/badge.svg')!.bytes,
    );
    expect(svg).not.toContain('<text');
    expect(svg.match(/<path/g)).toHaveLength(1);
  });

  it("report progress by layers: a picture's when it is drawn, all others before", async () => {
    const { mockup, assets, book } = readInside(
      '<rect id="a" width="9" height="9"/><g id="b"><path d="M0 20l9 3l-5 6z"/><path d="M20 20l9 3l-5 6z"/></g><path id="c" d="M40 20l9 3l-5 6z"/>',
    );
    const seen: (readonly [number, number])[] = [];
    await produce({
      mockup,
      assets,
      tags: new Map([[idAt('/b'), { outcome: 'picture' as const }]]),
      options: { arrangement: 'nested', target: 'html' },
      book,
      readFindings: [],
      onProgress: (done, total) => seen.push([done, total]),
    });
    // Which of the two pictures is drawn first is not known: they are drawn at once.
    expect([seen[0], seen.at(-1)]).toEqual([
      [1, 5],
      [5, 5],
    ]);
    expect(seen.map(([done]) => done)).toEqual(seen.map(([done]) => done).toSorted());
    expect(seen).toHaveLength(3);
  });

  it('stop on an abort signal', async () => {
    const { mockup, assets, book } = readDemo();
    const signal = AbortSignal.abort(new Error('enough'));
    await expect(
      produce({
        mockup,
        assets,
        tags: new Map(),
        options: { arrangement: 'nested', target: 'html' },
        book,
        readFindings: [],
        signal,
      }),
    ).rejects.toThrow('enough');
  });
});

describe('the picture of a mockup', () => {
  it('is one safe SVG without text, scripts or outside references', async () => {
    const { picture } = await readWithPicture(
      encoder.encode(
        '<svg xmlns="http://www.w3.org/2000/svg" width="50" height="40"><script>x</script><text y="20">a</text><image href="https://example.test/x.png" width="9" height="9"/><rect width="9" height="9" onclick="x"/></svg>',
      ),
      'x.svg',
      { book: createFontBook() },
    );
    expect(picture).toMatch(/^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg" width="50" height="40"/);
    expect(picture).not.toMatch(/script|onclick|example\.test|<text/);
  });

  it('shows nested SVGs without their active content', async () => {
    const inner =
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>x</script><image href="https://example.test/x.png" width="9" height="9"/><circle cx="4" cy="4" r="3" fill="#08c" onclick="x"/></svg>';
    const { picture, findings } = await readWithPicture(
      encoder.encode(
        `<svg xmlns="http://www.w3.org/2000/svg" width="50" height="40"><image id="buoy" width="30" height="30" href="data:image/svg+xml;base64,${btoa(inner)}"/></svg>`,
      ),
      'x.svg',
      { book: createFontBook() },
    );
    const shown = atob(/svg\+xml;base64,([^"]*)/.exec(picture)![1]!);
    expect(shown).toContain('#08c');
    expect(shown).not.toMatch(/script|onclick|example\.test/);
    expect(findings.map(({ code, layer }) => [code, layer])).toEqual([
      ['script-removed', idAt('/buoy')],
      ['outside-reference', idAt('/buoy')],
      ['handler-removed', idAt('/buoy')],
    ]);
  });
});
