import sharp, { type Sharp } from 'sharp';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import { resourceFile } from '../../core/emit/android/printXml';
import { MarkedPrinter } from '../../core/emit/components/printing';
import { vectorDrawable } from '../../core/pictures/vectorDrawable';
import { ENCODERS } from './encoders';
import type { DrawnScreen } from '../screens/screenFiles';
import { NO_PRINTER, type PdfPrinter } from './pdfPrinter';
import { ASSET_ADDRESS, type Picture, type PictureFile } from '../../core/pictures/picture';

/** Characters of the largest document that is made smaller without being asked: it takes about a second a megabyte. */
const LARGEST_SHRUNK = 1_000_000;

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
  if (file.format === 'drawable') return new TextEncoder().encode(drawableText(picture));
  if (file.format === 'svg') {
    const { svg: style } = file;
    const whole = drawnDocument(picture, file, mockup, assets);
    if (!style && whole.length > LARGEST_SHRUNK) return new TextEncoder().encode(whole);
    // Loaded for those who ask for it: it takes a while.
    const { writeSvg } = await import('./writeSvg');
    return new TextEncoder().encode(writeSvg(whole, picture.name, style ?? {}));
  }
  if (file.width * file.height > MOST_PIXELS)
    throw new Error(`it would have ${file.width}×${file.height} px`);
  if (source.kind === 'bitmap' && file.isOriginal) return bytesOf(source.bitmap, assets);
  if (file.format === 'gif') throw new Error('GIF is written only as it was read');
  return ENCODERS[file.format](drawnPixels(picture, file, mockup, assets), file).toBuffer();
}

/** The vector drawable of a picture, as a resource file. @throws Error for a picture that is none */
function drawableText({ source }: Picture): string {
  const root = source.kind === 'svg' ? vectorDrawable(source.svg) : null;
  if (!root) throw new Error('it is no vector drawable');
  return new MarkedPrinter().printLines(resourceFile(root)).text;
}

/** The document of an SVG file before it is made small. */
export function drawnDocument(picture: Picture, file: PictureFile, mockup: Mockup, assets: Assets): string {
  const { svg: style, bitmapAddresses } = file;
  const drawn = documentOf(picture, file, style?.text === 'text');
  return style?.bitmaps === 'embedded'
    ? withBitmaps(drawn, mockup, assets)
    : withAddresses(drawn, (name) => bitmapAddresses?.[name] ?? null);
}

/** The px of a file before they are encoded. */
export function drawnPixels({ source }: Picture, file: PictureFile, mockup: Mockup, assets: Assets): Sharp {
  const input =
    source.kind === 'svg'
      ? drawnSvg(source.svg, file.scale, mockup, assets)
      : sharp(bytesOf(source.bitmap, assets), { limitInputPixels: MOST_PIXELS * 4 }).rotate();
  return input.resize(file.width, file.height, { fit: 'fill', kernel: 'mitchell' });
}

function drawnSvg(svg: string, scale: number, mockup: Mockup, assets: Assets): Sharp {
  const filled = withBitmaps(svg, mockup, assets);
  // An SVG px is a 72nd of an inch to librsvg.
  return sharp(Buffer.from(filled), { density: 72 * scale, limitInputPixels: MOST_PIXELS, unlimited: true });
}

/** The document with its bitmaps in it. */
function withBitmaps(svg: string, mockup: Mockup, assets: Assets): string {
  return withAddresses(svg, (name) => dataUri(name, mockup, assets));
}

/** The document with other addresses of its bitmaps; null keeps one. */
function withAddresses(svg: string, addressOf: (name: string) => string | null): string {
  return svg.replace(
    new RegExp(`${ASSET_ADDRESS}([\\w-]+)`, 'g'),
    (address, name: string) => addressOf(name) ?? address,
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
function standaloneOf(picture: Picture, file: PictureFile, mockup: Mockup, assets: Assets): DrawnScreen {
  const { width, height } = file;
  const svg = withBitmaps(documentOf(picture, file), mockup, assets);
  return { name: picture.name, width, height, svg: new TextEncoder().encode(svg) };
}

/** The document of a picture; one around a bitmap, which fills it. */
function documentOf({ source }: Picture, { width, height }: PictureFile, asText = false): string {
  if (source.kind === 'svg') return (asText && source.withText) || source.svg;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><image width="${width}" height="${height}" preserveAspectRatio="none" href="${ASSET_ADDRESS}${source.bitmap}"/></svg>`;
}
