import sharp from 'sharp';
import { inChromium } from '../../../tests/support/inChromium';
import { convertReading, readDemo } from '../../../tests/support/mockups';
import { comparePictures } from '../proof/compare';
import { pullSvg, type Size } from '../proof/pull';
import type { SvgStyle } from '../../core/pictures/recipes/recipe';
import { writeSvg } from './writeSvg';
import { writeSymbols } from './writeSymbols';

const STYLES: readonly SvgStyle[] = [
  {},
  { decimals: 2, size: 'fluid', title: true },
  { ids: 'prefixed', styles: 'inline' },
  { decimals: 4, styles: 'inline', size: 'fluid' },
  { decimals: 3, styles: 'block', ids: 'prefixed' },
];
const GRADIENT =
  '<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40"><defs><linearGradient id="o1"><stop stop-color="#0af"/><stop offset="1" stop-color="#fa0" stop-opacity="0.5"/></linearGradient></defs><g stroke="#222" stroke-width="2"><path d="M10.123456 5L50.5 8.25L30 35Z" fill="url(#o1)" fill-rule="evenodd"/><circle cx="20" cy="20" r="5" fill="none"/></g></svg>';

describe('an SVG at every setting', () => {
  const here = inChromium();

  it('looks the same to Chromium, and is no larger', async () => {
    const drawn = convertReading(readDemo()).plan.pictures.flatMap(({ source }) =>
      source.kind === 'svg' ? [source.svg] : [],
    );
    expect(drawn.length).toBeGreaterThan(3);
    for (const svg of [...drawn, GRADIENT]) {
      const size = {
        width: Number(/width="(\d+)"/.exec(svg)![1]),
        height: Number(/height="(\d+)"/.exec(svg)![1]),
      };
      const written = STYLES.map((style) => writeSvg(svg, 'icons/gull', style));
      const [before, ...after] = await pullRow([svg, ...written], size);
      expect((await sharp(before!).stats()).entropy).toBeGreaterThan(0);
      for (const picture of after) expect((await comparePictures(before!, picture)).differing).toBe(0);
      for (const [at, style] of STYLES.entries())
        if (!style.title && (style.styles ?? 'attributes') === 'attributes')
          expect(written[at]!.length).toBeLessThanOrEqual(svg.length);
    }
  });

  /** Pictures of one size as Chromium shows them, pulled at once in a row: opening a page takes longer than drawing. */
  async function pullRow(svgs: readonly string[], { width, height }: Size): Promise<readonly Buffer[]> {
    const images = svgs.map((svg, at) => {
      const data = Buffer.from(svg).toString('base64');
      return `<image x="${at * width}" width="${width}" height="${height}" href="data:image/svg+xml;base64,${data}"/>`;
    });
    const all = { width: svgs.length * width, height };
    const sheet = `<svg xmlns="http://www.w3.org/2000/svg" width="${all.width}" height="${height}">${images.join('')}</svg>`;
    const row = await pullSvg(here.browser, new TextEncoder().encode(sheet), all, { x: 0, y: 0, ...all });
    return Promise.all(
      svgs.map((_, at) =>
        sharp(row)
          .extract({ left: at * width, top: 0, width, height })
          .png()
          .toBuffer(),
      ),
    );
  }

  it('has the ids, the size and the title that were asked for', () => {
    const written = writeSvg(GRADIENT, 'icons/gull', {
      ids: 'prefixed',
      size: 'fluid',
      title: true,
      styles: 'inline',
    });
    expect(written).toMatch(/id="icons-gull-o1"/);
    expect(written).toMatch(/url\(#icons-gull-o1\)/);
    expect(written).toMatch(/^<svg(?:(?!width=)[^>])*viewBox="0 0 60 40"[^>]*><title>gull<\/title>/);
    expect(written).not.toMatch(/ fill="/);
  });

  it('says its looks in a style block, in classes of its own', () => {
    const written = writeSvg(GRADIENT, 'icons/gull', { styles: 'block' });
    expect(written).toMatch(/^<svg[^>]*><style>\.icons-gull-1\{/);
    expect(written).not.toMatch(/ (?:fill|stroke)="/);
  });

  it('is a symbol of one file, which looks the same where it is used', async () => {
    const size = { width: 60, height: 40 };
    const picture = {
      name: 'icons/gull',
      layers: [],
      source: { kind: 'svg', svg: GRADIENT },
      files: [],
      reason: '',
    } as const;
    const symbols = writeSymbols([picture, { ...picture, name: 'icons/tern' }]);
    expect(symbols.match(/<symbol id="icons-(?:gull|tern)" viewBox="0 0 60 40">/g)).toHaveLength(2);
    const used = symbols
      .replace('</svg>', '<use href="#icons-tern" width="60" height="40"/></svg>')
      .replace('<svg ', '<svg width="60" height="40" ');
    const [drawn, asSymbol] = await pullRow([GRADIENT, used], size);
    const { differing } = await comparePictures(drawn!, asSymbol!);
    expect(differing).toBe(0);
  });
});
