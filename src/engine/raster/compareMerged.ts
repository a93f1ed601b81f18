import sharp from 'sharp';
import type { Report } from '../../core/findings/finding';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import { screenSvg } from '../../core/pictures/standaloneSvg';
import { dataUri } from '../pictures/renderPicture';

/** Both pictures are compared at most at this width, px: enough to see a missing or misplaced layer. */
const WIDEST = 640;
/** The smallest difference of a channel that counts; rasterisers round and scale differently. */
const LEVELS = 24;
/** The share of pixels that may differ without a finding. */
const ALLOWED = 0.01;
/** Bytes of layers beyond which drawing them for a comparison is too slow. */
const LARGEST = 48 * 1024 * 1024;

/**
 * Compares the reading with the merged picture that the drawing program saved (OpenRaster, "Merged image").
 */
export async function compareMerged(
  mockup: Mockup,
  assets: Assets,
  merged: Uint8Array | null,
  report: Report,
): Promise<void> {
  const [screen] = mockup.screens;
  const size = [...assets.values()].reduce((sum, { length }) => sum + length, 0);
  if (!screen || !merged || size > LARGEST) return;
  const drawing = screenSvg(screen, {
    mockup,
    outliner: null,
    bitmapAddress: (name) => dataUri(name, mockup, assets),
  });
  const width = Math.min(WIDEST, Math.ceil(screen.width));
  const height = Math.max(1, Math.round((screen.height * width) / screen.width));
  const [ours, saved] = [await pixels(drawing, width, height), await pixels(merged, width, height)];
  if (!ours || !saved) return;
  const share = shareDiffering(ours, saved);
  if (share > ALLOWED) report('merged-differs', null, { percent: Math.round(share * 1000) / 10 });
}

/** RGB on white; null for a picture that cannot be decoded. */
async function pixels(
  source: Uint8Array | string,
  width: number,
  height: number,
): Promise<Uint8Array | null> {
  try {
    return await sharp(Buffer.from(source), { unlimited: typeof source === 'string' })
      .flatten({ background: '#fff' })
      .resize(width, height, { fit: 'fill' })
      .removeAlpha()
      .raw()
      .toBuffer();
  } catch {
    return null;
  }
}

function shareDiffering(one: Uint8Array, other: Uint8Array): number {
  let count = 0;
  for (let at = 0; at < one.length; at += 3) {
    const apart = (channel: number) => Math.abs((one[at + channel] ?? 0) - (other[at + channel] ?? 0));
    if (Math.max(apart(0), apart(1), apart(2)) > LEVELS) count += 1;
  }
  return count / (one.length / 3);
}
