import sharp from 'sharp';
import type { Box } from '../../core/mockup/box';

/** The most px of a bitmap that is scanned. */
export const MOST_PIXELS = 256_000_000;

/**
 * The visible part of a picture: the box around all pixels that are not fully transparent, px of the picture;
 * null for none.
 */
export async function visibleBox(bytes: Uint8Array): Promise<Box | null> {
  const image = sharp(bytes, { limitInputPixels: MOST_PIXELS });
  const { width, height, hasAlpha } = await image.metadata();
  if (!hasAlpha) return { x: 0, y: 0, width, height };
  const { data, info } = await image.extractChannel('alpha').raw().toBuffer({ resolveWithObject: true });
  // Sixteen-bit channels have two bytes each.
  const step = data.length / (info.width * info.height);
  let [left, top, right, bottom] = [info.width, info.height, -1, -1];
  for (let y = 0; y < info.height; y++) {
    const row = y * info.width * step;
    for (let x = 0; x < info.width; x++) {
      if (!isVisible(data, row + x * step, step)) continue;
      if (x < left) left = x;
      if (x > right) right = x;
      if (y < top) top = y;
      bottom = y;
    }
  }
  return right < 0 ? null : { x: left, y: top, width: right - left + 1, height: bottom - top + 1 };
}

function isVisible(data: Uint8Array, at: number, step: number): boolean {
  for (let byte = 0; byte < step; byte++) if (data[at + byte] !== 0) return true;
  return false;
}
