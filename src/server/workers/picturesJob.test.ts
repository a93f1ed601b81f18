import type { Picture, PictureFile } from '../../core/pictures/picture';
import { contentKey } from './picturesJob';

const FILE: PictureFile = { path: 'pictures/gull.png', format: 'png', width: 24, height: 24, scale: 1 };
const GULL: Picture = {
  name: 'gull',
  layers: ['a'],
  source: { kind: 'bitmap', bitmap: 'bitmap-1' },
  files: [FILE],
  reason: 'an embedded bitmap',
};
const assets = (bytes: readonly number[]) => new Map([['bitmap-1', Uint8Array.from(bytes)]]);

describe('what a drawn file is kept by', () => {
  it('is the same for the same content, wherever it stands and whatever wears it', () => {
    expect(contentKey({ ...GULL, layers: ['b', 'c'] }, FILE, assets([1, 2]))).toBe(
      contentKey(GULL, { ...FILE, path: 'pictures/other.png' }, assets([1, 2])),
    );
  });

  it('differs for bitmaps of two mockups that have one name', () => {
    expect(contentKey(GULL, FILE, assets([1, 2]))).not.toBe(contentKey(GULL, FILE, assets([1, 3])));
  });

  it('differs for bitmaps inside of a drawing', () => {
    const drawing: Picture = {
      ...GULL,
      source: {
        kind: 'svg',
        svg: '<svg xmlns="http://www.w3.org/2000/svg"><image href="asset:bitmap-1"/></svg>',
      },
    };
    expect(contentKey(drawing, FILE, assets([1, 2]))).not.toBe(contentKey(drawing, FILE, assets([1, 3])));
  });

  it('differs by format, size and quality, and by the name in an SVG', () => {
    const keys = [
      contentKey(GULL, FILE, assets([1])),
      contentKey(GULL, { ...FILE, scale: 2, width: 48, height: 48 }, assets([1])),
      contentKey(GULL, { ...FILE, format: 'webp', quality: 80 }, assets([1])),
      contentKey(GULL, { ...FILE, format: 'webp', quality: 70 }, assets([1])),
      contentKey({ ...GULL, name: 'tern' }, FILE, assets([1])),
    ];
    expect(new Set(keys).size).toBe(keys.length);
  });
});
