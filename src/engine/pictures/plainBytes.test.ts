import sharp from 'sharp';
import { readInside } from '../../../tests/support/mockups';
import type { Picture, PictureFile } from '../../core/pictures/picture';
import { plainBytes } from './plainBytes';
import { renderPicture } from './renderPicture';

const SVG =
  '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30" viewBox="0 0 40 30"><g><path d="M10.00001 5.00000L30.000 5.0000L20 25.000001Z" fill="#cc3333" fill-opacity="1"/></g></svg>';
const { mockup } = readInside('<rect width="4" height="4"/>');
const sail: Picture = {
  name: 'sail',
  layers: [],
  source: { kind: 'svg', svg: SVG },
  files: [],
  reason: '',
};
const FILE: PictureFile = { path: 'pictures/sail.svg', format: 'svg', width: 40, height: 30, scale: 1 };
const png: PictureFile = { ...FILE, path: 'pictures/sail.png', format: 'png' };
const none = new Map<string, Uint8Array>();

describe('what a file saves', () => {
  it('is told from the document as it was drawn', async () => {
    expect(await plainBytes(sail, FILE, mockup, none)).toBe(SVG.length);
    expect((await renderPicture(sail, FILE, mockup, none)).length).toBeLessThan(SVG.length * 0.7);
  });

  it('is told from the same px as a PNG that the encoder wrote as it usually does', async () => {
    const usual = await sharp(Buffer.from(SVG), { density: 72 }).resize(40, 30).png().toBuffer();
    expect(await plainBytes(sail, png, mockup, none)).toBe(usual.length);
    const webp = { ...png, format: 'webp', quality: 80 } as const;
    expect(await plainBytes(sail, webp, mockup, none)).toBe(usual.length);
  });

  it('is not told of a bitmap as it is, and of a PDF', async () => {
    const original = { ...png, isOriginal: true } as const;
    const bitmap: Picture = { ...sail, source: { kind: 'bitmap', bitmap: 'bitmap-1' } };
    expect(await plainBytes(bitmap, original, mockup, none)).toBeNull();
    expect(await plainBytes(sail, { ...FILE, format: 'pdf' }, mockup, none)).toBeNull();
  });
});
