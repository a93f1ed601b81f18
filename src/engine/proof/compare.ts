import pixelmatch from 'pixelmatch';
import sharp from 'sharp';
import { ssim } from 'ssim.js';
import type { Box } from '../../core/mockup/box';
import { meanColourDifference, type Pixels } from './colourDifference';

export interface Comparison {
  /** Share of differing pixels, 0–1 (pixelmatch, threshold 0.1; antialiased edges do not count). */
  readonly differing: number;
  /** Mean structural similarity, 0–1, 1 for equal (Wang et al. 2004, by its integral-image approximation). */
  readonly index: number;
  /** The picture of the difference, PNG. */
  readonly picture: Buffer;
  /** The share of differing pixels inside a box, px; 0 for an empty one. */
  readonly within: (box: Box) => number;
  /** How far the mean colours are apart inside a box, CIEDE2000. */
  readonly colourWithin: (box: Box) => number;
}

/** Differing pixels have this colour; all others are grey or, where edges are antialiased, yellow. */
const MARK: [number, number, number] = [255, 0, 0];

/** Compares two pictures of one size. */
export async function comparePictures(one: Buffer, other: Buffer): Promise<Comparison> {
  const [first, second] = [await pixels(one), await pixels(other)];
  const { width, height } = first;
  const shown = new Uint8Array(width * height * 4);
  const count = pixelmatch(first.data, second.data, shown, width, height, {
    threshold: 0.1,
    diffColor: MARK,
  });
  const sums = sumsOf(shown, width, height);
  const clamped = ({ data }: Pixels) => ({ data: new Uint8ClampedArray(data), width, height });
  return {
    differing: count / (width * height),
    index: ssim(clamped(first), clamped(second), { ssim: 'bezkrovny', downsample: false }).mssim,
    picture: await sharp(shown, { raw: { width, height, channels: 4 } })
      .png()
      .toBuffer(),
    within: (box) => shareWithin(box, sums, width, height),
    colourWithin: (box) => meanColourDifference(first, second, box),
  };
}

async function pixels(png: Buffer): Promise<Pixels> {
  const { data, info } = await sharp(png).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { data: new Uint8Array(data.buffer, data.byteOffset, data.length), ...info };
}

/**
 * The number of differing pixels above and to the left of each pixel, so that any box is counted from four
 * values.
 */
function sumsOf(shown: Uint8Array, width: number, height: number): Uint32Array {
  const sums = new Uint32Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      const at = (y * width + x) * 4;
      if (MARK.every((channel, offset) => shown[at + offset] === channel)) row += 1;
      sums[(y + 1) * (width + 1) + x + 1] = (sums[y * (width + 1) + x + 1] ?? 0) + row;
    }
  }
  return sums;
}

function shareWithin(box: Box, sums: Uint32Array, width: number, height: number): number {
  const clamp = (value: number, most: number) => Math.min(most, Math.max(0, value));
  const [x0, y0] = [clamp(Math.floor(box.x), width), clamp(Math.floor(box.y), height)];
  const [x1, y1] = [clamp(Math.ceil(box.x + box.width), width), clamp(Math.ceil(box.y + box.height), height)];
  const area = (x1 - x0) * (y1 - y0);
  if (area <= 0) return 0;
  const at = (x: number, y: number) => sums[y * (width + 1) + x] ?? 0;
  return (at(x1, y1) - at(x0, y1) - at(x1, y0) + at(x0, y0)) / area;
}
