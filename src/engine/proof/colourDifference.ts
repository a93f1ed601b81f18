import { differenceCiede2000 } from 'culori';
import type { Box } from '../../core/mockup/box';

/** Pixels of a picture, four channels each. */
export interface Pixels {
  readonly data: Uint8Array;
  readonly width: number;
  readonly height: number;
}

const difference = differenceCiede2000();

/**
 * How far the mean colours of two pictures of one size are apart inside a box: CIEDE2000 (ISO/CIE 11664-6), where about
 * 2 is just seen. A pale thing in another shade differs here, though few of its pixels do strongly.
 */
export function meanColourDifference(one: Pixels, other: Pixels, box: Box): number {
  return difference(meanColour(one, box), meanColour(other, box));
}

/** The most px of a side that are looked at: of a larger box every second, third … px counts. */
const MOST_SIDE = 120;

function meanColour({ data, width, height }: Pixels, box: Box) {
  const clamp = (value: number, most: number) => Math.min(most, Math.max(0, Math.round(value)));
  const [x0, x1] = [clamp(box.x, width - 1), clamp(box.x + box.width, width)];
  const [y0, y1] = [clamp(box.y, height - 1), clamp(box.y + box.height, height)];
  const step = Math.max(1, Math.ceil(Math.max(x1 - x0, y1 - y0) / MOST_SIDE));
  const sums = [0, 0, 0];
  let count = 0;
  for (let y = y0; y < Math.max(y1, y0 + 1); y += step) {
    for (let x = x0; x < Math.max(x1, x0 + 1); x += step) {
      const at = (y * width + x) * 4;
      for (let channel = 0; channel < 3; channel++) sums[channel]! += data[at + channel] ?? 0;
      count += 1;
    }
  }
  const [r = 0, g = 0, b = 0] = sums.map((sum) => sum / count / 255);
  return { mode: 'rgb', r, g, b } as const;
}
