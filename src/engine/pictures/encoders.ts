import type { Sharp } from 'sharp';
import type { PictureFile, PictureFormat, VectorFormat } from '../../core/pictures/picture';

type RasterFormat = Exclude<PictureFormat, VectorFormat | 'gif' | 'pdf'>;

/** Colours of a palette (PNG, §11.2.2). */
const PALETTE = 256;

/** Effort 4 takes eight times as long for a few percent (measured at 1280×800). */
const AVIF_EFFORT = 2;

/** How each raster format is written; metadata is dropped, and colours are sRGB. Adding one is a line here. */
export const ENCODERS: Readonly<Record<RasterFormat, (drawn: Sharp, file: PictureFile) => Sharp>> = {
  png: (drawn, { palette }) =>
    drawn.png({
      compressionLevel: 9,
      adaptiveFiltering: true,
      ...(palette && { palette: true, colours: PALETTE, effort: 10 }),
    }),
  // JPEG has no transparency: what is clear lies on white.
  jpeg: (drawn, { quality }) => drawn.flatten({ background: '#fff' }).jpeg({ quality, mozjpeg: true }),
  webp: (drawn, { quality, lossless }) => drawn.webp({ quality, lossless: lossless ?? false, effort: 5 }),
  avif: (drawn, { quality, lossless }) =>
    drawn.avif({ quality, lossless: lossless ?? false, effort: AVIF_EFFORT }),
};
