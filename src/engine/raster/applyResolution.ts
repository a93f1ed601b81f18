import sharp from 'sharp';
import type { Report } from '../../core/findings/finding';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import { mapLayers } from './mapLayers';

/** Dots per inch of one px at 1x: 72 in raster files, 96 in CSS (CSS Values 4, §6.2). */
const AT_1X = [72, 96] as const;
const SCALES = [2, 3, 4] as const;

/** Gives a flat picture with the resolution of a dense screen its size in px at 1x. */
export async function applyResolution(mockup: Mockup, assets: Assets, report: Report): Promise<Mockup> {
  const [bytes] = assets.values();
  const [screen] = mockup.screens;
  if (!bytes || !screen) return mockup;
  const { density = 72 } = await sharp(bytes).metadata();
  const scale = SCALES.find((times) => AT_1X.some((dpi) => Math.abs(density - dpi * times) <= 1));
  if (scale === undefined) return mockup;
  report('resolution', screen.root.layers[0]?.id ?? null, { dpi: density, scale });
  const [width, height] = [screen.width / scale, screen.height / scale];
  const box = { x: 0, y: 0, width, height };
  const sized = mapLayers(mockup, (layer) =>
    layer.kind === 'bitmap' ? { ...layer, box, frame: box } : layer,
  );
  return {
    ...sized,
    screens: sized.screens.map((one) => ({ ...one, width: Math.ceil(width), height: Math.ceil(height) })),
  };
}
