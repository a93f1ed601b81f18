import sharp, { type Sharp } from 'sharp';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import { ENCODERS } from './encoders';
import type { DrawnScreen } from '../screens/screenFiles';
import { NO_PRINTER, type PdfPrinter } from './pdfPrinter';
import { ASSET_ADDRESS, type Picture, type PictureFile } from '../../core/pictures/picture';

/** The most px of a raster file; it bounds memory. */
const MOST_PIXELS = 64_000_000;

/**
 * Draws one file of a picture.
 * @param printer prints PDFs; absent where none is asked for
 * @throws Error with a plain sentence when it cannot be drawn
 */
export async function renderPicture(
  picture: Picture,
  file: PictureFile,
  mockup: Mockup,
  assets: Assets,
  printer: PdfPrinter = NO_PRINTER,
): Promise<Uint8Array> {
  const { source } = picture;
  if (file.format === 'pdf') return printer(standaloneOf(picture, file, mockup, assets));
  if (file.format === 'svg') {
    if (source.kind !== 'svg') throw new Error('a bitmap has no vector form');
    const { svg: style } = file;
    const drawn = (style?.text === 'text' && source.withText) || source.svg;
    const whole = style?.bitmaps === 'embedded' ? withBitmaps(drawn, mockup, assets) : drawn;
    if (!style) return new TextEncoder().encode(whole);
    // Loaded for those who ask for it: it takes a while.
    const { writeSvg } = await import('./writeSvg');
    return new TextEncoder().encode(writeSvg(whole, picture.name, style));
  }
  if (file.width * file.height > MOST_PIXELS)
    throw new Error(`it would have ${file.width}×${file.height} px`);
  if (source.kind === 'bitmap' && file.isOriginal) return bytesOf(source.bitmap, assets);
  const input =
    source.kind === 'svg'
      ? drawnSvg(source.svg, file.scale, mockup, assets)
      : sharp(bytesOf(source.bitmap, assets), { limitInputPixels: MOST_PIXELS * 4 }).rotate();
  if (file.format === 'gif') throw new Error('GIF is written only as it was read');
  const drawn = input.resize(file.width, file.height, { fit: 'fill', kernel: 'mitchell' });
  return ENCODERS[file.format](drawn, file).toBuffer();
}

function drawnSvg(svg: string, scale: number, mockup: Mockup, assets: Assets): Sharp {
  const filled = withBitmaps(svg, mockup, assets);
  // An SVG px is a 72nd of an inch to librsvg.
  return sharp(Buffer.from(filled), { density: 72 * scale, limitInputPixels: MOST_PIXELS, unlimited: true });
}

/** The document with its bitmaps in it. */
function withBitmaps(svg: string, mockup: Mockup, assets: Assets): string {
  return svg.replace(new RegExp(`${ASSET_ADDRESS}([\\w-]+)`, 'g'), (_, name: string) =>
    dataUri(name, mockup, assets),
  );
}

function bytesOf(name: string, assets: Assets): Uint8Array {
  const bytes = assets.get(name);
  if (!bytes) throw new Error('its bitmap is missing');
  return bytes;
}

/** The bitmap's bytes as an address that needs nothing outside. */
export function dataUri(name: string, mockup: Mockup, assets: Assets): string {
  const type = mockup.bitmaps[name]?.type ?? 'image/png';
  return `data:${type};base64,${Buffer.from(assets.get(name) ?? []).toString('base64')}`;
}

/** The picture as a document of its own, with its bitmaps, as large as its file. */
function standaloneOf(
  { source, name }: Picture,
  { width, height }: PictureFile,
  mockup: Mockup,
  assets: Assets,
): DrawnScreen {
  const svg =
    source.kind === 'svg'
      ? withBitmaps(source.svg, mockup, assets)
      : `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><image width="${width}" height="${height}" preserveAspectRatio="none" href="${dataUri(source.bitmap, mockup, assets)}"/></svg>`;
  return { name, width, height, svg: new TextEncoder().encode(svg) };
}
