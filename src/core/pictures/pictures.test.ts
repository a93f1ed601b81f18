import { idAt } from '../../../tests/support/ids';
import sharp from 'sharp';
import { convertReading, readCase, readInside } from '../../../tests/support/mockups';
import { measureScreen } from '../mockup/bounds';
import { IDENTITY } from '../mockup/matrix';
import { parseXml } from '../read/xml/parseXml';
import { descendants } from '../read/xml/node';
import { standaloneSvg } from './standaloneSvg';

type Reading = ReturnType<typeof readInside>;

function wholeScreen(reading: Reading): string {
  const screen = reading.mockup.screens[0]!;
  const box = { x: 0, y: 0, width: screen.width, height: screen.height };
  return standaloneSvg([{ layer: screen.root, matrix: IDENTITY }], box, {
    mockup: reading.mockup,
    outliner: null,
    bitmapAddress: (name) => `asset:${name}`,
  });
}

describe('a screen written back', () => {
  it.each(['bs5-pricing.svg', 'w3c-pservers-grad-09-b.svg', 'oc-dartboard-use.svg'])(
    '%s refers to nothing that is not in it',
    (name) => {
      const root = parseXml(wholeScreen(readCase(name)));
      const ids = new Set([...descendants(root)].map((node) => node.attributes.id));
      const used = [...descendants(root)].flatMap((node) =>
        Object.values(node.attributes).flatMap((value) =>
          [...value.matchAll(/url\(#([^)]+)\)/g)].map((match) => match[1]),
        ),
      );
      for (const id of used) expect(ids).toContain(id);
    },
  );

  it('defines shared resources once', () => {
    const written = wholeScreen(
      readInside(`<linearGradient id="g" gradientUnits="userSpaceOnUse" x2="9"><stop/><stop offset="1" stop-color="#fff"/></linearGradient>
        <rect width="9" height="9" fill="url(#g)"/><circle r="5" fill="url(#g)"/>`),
    );
    expect(written.match(/<linearGradient /g)).toHaveLength(1);
  });

  it('reads back as the same layers', () => {
    const reading =
      readInside(`<linearGradient id="g" gradientTransform="rotate(20)"><stop stop-color="#123"/><stop offset="1" stop-color="#fed" stop-opacity=".5"/></linearGradient>
      <clipPath id="c"><rect width="50" height="50" rx="4"/></clipPath><filter id="f"><feDropShadow dx="1" dy="2" stdDeviation="3" flood-opacity=".4"/></filter>
      <g opacity=".5" clip-path="url(#c)"><rect x="1" y="2" width="30" height="20" fill="url(#g)" stroke="red" stroke-dasharray="2 1" filter="url(#f)"/></g>
      <ellipse cx="80" cy="40" rx="20" ry="10" style="mix-blend-mode:multiply"/><path d="M0 0L9 9L0 9Z" fill-rule="evenodd" marker-end="none"/>`);
    const again = readInside(
      wholeScreen(reading)
        .replace(/^<svg[^>]*>/, '')
        .replace(/<\/svg>$/, ''),
    );
    const [before, after] = [reading, again].map(
      (one) =>
        measureScreen(one.mockup.screens[0]!, one.mockup.faces).get(one.mockup.screens[0]!.id)!.painted,
    );
    expect(after!.x).toBeCloseTo(before!.x, 2);
    expect(after!.width).toBeCloseTo(before!.width, 2);
    const shapes = (one: Reading) =>
      JSON.stringify(one.mockup.screens[0]!.root)
        .match(/"kind":"(shape|linear|drop-shadow|outline)"/g)
        ?.sort();
    expect(shapes(again)).toEqual(shapes(reading));
  });

  it('renders in an outside rasteriser', async () => {
    // Source: librsvg through sharp: a red box on nothing.
    const svg = wholeScreen(readInside('<rect x="50" y="25" width="100" height="50" fill="#f00"/>'));
    const { data, info } = await sharp(Buffer.from(svg))
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const at = (x: number, y: number) => [
      ...data.subarray((y * info.width + x) * 4, (y * info.width + x) * 4 + 4),
    ];
    expect([info.width, info.height]).toEqual([200, 100]);
    expect(at(100, 50)).toEqual([255, 0, 0, 255]);
    expect(at(10, 10)[3]).toBe(0);
  });
});

describe('the picture plan', () => {
  const plan = (content: string) => convertReading(readInside(content)).plan;

  it('puts every picture on whole px', () => {
    const { placed } = plan('<path id="a" d="M10.4 10.6L19.5 11L14 19.2z"/>');
    expect(placed.get(idAt('/a'))!.box).toEqual({ x: 10, y: 10, width: 10, height: 10 });
  });

  it('keeps edges with crispEdges', () => {
    const [picture] = plan('<path d="M0 0L9 1L4 9z" shape-rendering="crispEdges"/>').pictures;
    expect(picture!.source.kind === 'svg' && picture!.source.svg).toContain('shape-rendering="crispEdges"');
  });

  it('gives free names', () => {
    const { pictures } = plan(
      '<g><path id="a" d="M0 0L9 1L4 9z"/></g><g><path id="a" d="M50 0L59 9L44 9z"/></g><rect width="150" height="90" fill="none"/>',
    );
    expect(pictures.map((picture) => picture.name)).toEqual(['a', 'a-2']);
  });

  it('keeps whole bitmaps as they are, makes PNG of stretched ones, at 2x where they are dense enough, and SVG of all others', () => {
    const pixel =
      'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAIAAAABCAYAAAD0In+KAAAAD0lEQVR42mP8z8BQz0AEAAAJAwEBTHNTgAAAAABJRU5ErkJggg==';
    const { pictures } = plan(
      `<image id="dense" href="${pixel}" x="10" y="10" width="1" height="1" preserveAspectRatio="none"/><image id="photo" href="${pixel}" x="10" y="10" width="40" height="20"/><path id="star" d="M100 0L109 9L104 9z"/>`,
    );
    expect(
      pictures.map(({ files }) => files.map(({ path, width, height }) => [path, width, height])),
    ).toEqual([
      [
        ['pictures/dense.png', 1, 1],
        ['pictures/dense@2x.png', 2, 2],
      ],
      [['pictures/photo.png', 2, 1]],
      [['pictures/star.svg', expect.any(Number), expect.any(Number)]],
    ]);
    expect(pictures[1]!.source).toEqual({ kind: 'bitmap', bitmap: 'bitmap-1' });
  });

  it('draws a bitmap that is clipped or lies between px', () => {
    const pixel =
      'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAIAAAABCAYAAAD0In+KAAAAD0lEQVR42mP8z8BQz0AEAAAJAwEBTHNTgAAAAABJRU5ErkJggg==';
    const { pictures } = plan(
      `<clipPath id="c"><circle cx="20" cy="20" r="8"/></clipPath><image id="cut" href="${pixel}" width="40" height="40" clip-path="url(#c)"/><image id="between" href="${pixel}" x="60.5" width="40" height="20"/>`,
    );
    expect(pictures.map(({ source }) => source.kind)).toEqual(['svg', 'svg']);
    expect(pictures[0]!.files[0]).toMatchObject({ width: 16, height: 16 });
  });

  it('leaves opacity and blending to the page, and keeps shadows in the picture', () => {
    const [picture] = plan(
      '<filter id="f"><feDropShadow dx="0" dy="4" stdDeviation="2"/></filter><path id="a" d="M50 20L90 21L70 60z" opacity=".5" style="mix-blend-mode:multiply" filter="url(#f)"/>',
    ).pictures;
    const svg = picture!.source.kind === 'svg' ? picture!.source.svg : '';
    expect(svg).toContain('<feDropShadow');
    expect(svg).not.toMatch(/opacity="0\.5"|mix-blend-mode/);
    expect(picture!.files[0]!.height).toBeGreaterThan(46);
  });

  it('measures gradients of letters by their own box', async () => {
    const [picture] = plan(
      `<linearGradient id="g" gradientUnits="userSpaceOnUse" x1="40" x2="80"><stop stop-color="#f00"/><stop offset="1" stop-color="#00f"/></linearGradient>
       <text x="20" y="50" font-size="60" font-family="Commissioner" font-weight="700" fill="url(#g)">HH</text>`,
    ).pictures;
    const svg = picture!.source.kind === 'svg' ? picture!.source.svg : '';
    // Source: librsvg through sharp: the first stem of the letters is red, the last one blue.
    const { data, info } = await sharp(Buffer.from(svg))
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const row = Array.from({ length: info.width }, (_, at) => {
      const start = (Math.floor(info.height / 2) * info.width + at) * 4;
      return [...data.subarray(start, start + 4)];
    }).filter(([, , , alpha]) => alpha === 255);
    expect(row[1]).toEqual([255, 0, 0, 255]);
    expect(row.at(-2)).toEqual([0, 0, 255, 255]);
  });
});
