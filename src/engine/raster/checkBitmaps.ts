import sharp from 'sharp';
import type { Report } from '../../core/findings/finding';
import type { Assets, Bitmap, Mockup } from '../../core/mockup/mockup';
import { LIMITS } from '../../core/read/limits';
import { layersOf } from '../../core/mockup/walk';

/**
 * The assets with every bitmap decoded once. One that is cut off keeps what can be decoded; one that cannot be
 * decoded at all becomes clear. Both are reported at their layers.
 */
export async function checkBitmaps(mockup: Mockup, assets: Assets, report: Report): Promise<Assets> {
  const checked = new Map(assets);
  for (const bitmap of Object.values(mockup.bitmaps)) {
    const bytes = assets.get(bitmap.id);
    const why = bytes && (await faultOf(bitmap, bytes));
    if (!bytes || !why) continue;
    checked.set(bitmap.id, await usablePart(bitmap, bytes));
    for (const layer of layersOf(mockup))
      if (layer.kind === 'bitmap' && layer.bitmap === bitmap.id) report('bitmap-broken', layer.id, { why });
  }
  return checked;
}

/** Why a bitmap cannot be decoded as a whole; null for a sound one. Nested SVGs are checked elsewhere. */
export async function faultOf({ type }: Pick<Bitmap, 'type'>, bytes: Uint8Array): Promise<string | null> {
  if (type === 'image/svg+xml') return null;
  try {
    await sharp(bytes, { failOn: 'truncated', limitInputPixels: LIMITS.bitmapPixels }).stats();
    return null;
  } catch {
    return 'it is cut off or damaged';
  }
}

async function usablePart({ type }: Bitmap, bytes: Uint8Array): Promise<Uint8Array> {
  const format = type === 'image/jpeg' ? 'jpeg' : type === 'image/webp' ? 'webp' : 'png';
  try {
    return await sharp(bytes, { failOn: 'none', limitInputPixels: LIMITS.bitmapPixels })
      .toFormat(format)
      .toBuffer();
  } catch {
    const background = { r: 0, g: 0, b: 0, alpha: 0 };
    return sharp({ create: { width: 1, height: 1, channels: 4, background } })
      .toFormat(format)
      .toBuffer();
  }
}
