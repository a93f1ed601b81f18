import sharp from 'sharp';
import { PAGE_MOCKUPS, readDemo } from '../../../tests/support/mockups';
import type { MarkupElement } from '../markup/element';
import { printXml } from '../markup/printXml';
import { plannedPictures } from '../plannedPictures';
import { drawableSvg } from './drawableSvg';
import { vectorDrawable } from './vectorDrawable';

const svg = (content: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20" viewBox="0 0 40 20">${content}</svg>`;
const paths = (content: string) =>
  vectorDrawable(svg(content))?.children.map((each) => (each as MarkupElement).attributes);

describe('vector drawables', () => {
  it('are paths with their transforms in the coordinates', () => {
    expect(
      paths('<g transform="translate(2 3)"><rect x="1" y="1" width="4" height="2" fill="#123"/></g>'),
    ).toEqual([{ 'android:pathData': 'M3 4H7V6H3V4Z', 'android:fillColor': '#112233' }]);
    expect(
      paths(
        '<g transform="scale(2)"><line x1="1" y1="1" x2="4" y2="1" stroke="red" stroke-width="1.5" stroke-linecap="round" fill="none"/></g>',
      ),
    ).toEqual([
      {
        'android:pathData': 'M2 2L8 2',
        'android:strokeColor': '#ff0000',
        'android:strokeWidth': '3',
        'android:strokeLineCap': 'round',
      },
    ]);
  });

  it('have translucent colours with their alpha first', () => {
    expect(paths('<ellipse cx="5" cy="5" rx="2" ry="2" fill="#123" fill-opacity=".5"/>')).toMatchObject([
      { 'android:fillColor': '#80112233' },
    ]);
    expect(paths('<g opacity=".5"><rect width="4" height="4" fill="#fff"/></g>')).toMatchObject([
      { 'android:fillColor': '#80ffffff' },
    ]);
  });

  it.each([
    ['effects', '<g filter="url(#f)"><rect width="4" height="4"/></g>'],
    ['dashes', '<path d="M0 0H9" stroke="red" stroke-dasharray="2 1"/>'],
    [
      'lines that are wider in one direction',
      '<g transform="scale(2 1)"><path d="M0 0H9" stroke="red"/></g>',
    ],
    [
      'translucent groups',
      '<g opacity=".5"><rect width="4" height="4"/><rect x="2" width="4" height="4"/></g>',
    ],
    ['letters', '<text y="9">Auk</text>'],
    ['bitmaps', '<image width="4" height="4" href="asset:a"/>'],
  ])('are none of %s', (_, content) => {
    expect(vectorDrawable(svg(content))).toBeNull();
  });

  it('are none of what is large', () => {
    expect(vectorDrawable(svg('').replace('width="40"', 'width="400"'))).toBeNull();
  });

  it('of mockups are drawn as their SVGs are, read back as the platform reads them', async () => {
    let count = 0;
    const options = { arrangement: 'nested', target: 'android' } as const;
    for (const reading of [readDemo(), ...PAGE_MOCKUPS.map(({ read }) => read())]) {
      const { plan } = plannedPictures({ ...reading, tags: new Map(), options, outliner: null });
      for (const { source, files } of plan.pictures) {
        if (source.kind !== 'svg' || files[0]?.format !== 'drawable') continue;
        count += 1;
        const back = drawableSvg(printXml(vectorDrawable(source.svg)!));
        expect(await differing(source.svg, back)).toBeLessThan(0.005);
      }
    }
    expect(count).toBeGreaterThan(40);
  });
});

/** The share of the channels of two drawings that differ by more than a tenth, at 4x. */
async function differing(one: string, other: string): Promise<number> {
  const [first, second] = await Promise.all(
    [one, other].map((each) => sharp(Buffer.from(each), { density: 288 }).ensureAlpha().raw().toBuffer()),
  );
  let unlike = 0;
  for (let at = 0; at < first!.length; at++) if (Math.abs(first![at]! - second![at]!) > 25) unlike += 1;
  return unlike / first!.length;
}
