import type { Report } from '../../core/findings/finding';
import type { Box } from '../../core/mockup/box';
import type { BitmapLayer, Layer } from '../../core/mockup/layer';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import { layersOf } from '../../core/mockup/walk';
import type { OnProgress } from '../../core/read/reading';
import { mapLayers } from './mapLayers';
import { visibleBox } from './visibleBox';

/** Trims every bitmap's frame to its visible part: raster programs save layers as large as the page. */
export async function trimBitmaps(
  mockup: Mockup,
  assets: Assets,
  report: Report,
  onProgress: OnProgress,
): Promise<Mockup> {
  const boxes = new Map<string, Box | null>();
  const names = [
    ...new Set(layersOf(mockup).flatMap((layer) => (layer.kind === 'bitmap' ? [layer.bitmap] : []))),
  ];
  for (const [done, name] of names.entries()) {
    onProgress(done, names.length);
    const bytes = assets.get(name);
    if (bytes) boxes.set(name, await visibleBox(bytes));
  }
  onProgress(names.length, names.length);
  return mapLayers(mockup, (layer): Layer => {
    if (layer.kind !== 'bitmap') return layer;
    const seen = boxes.get(layer.bitmap);
    if (seen === null) report('layer-empty', layer.id);
    return seen === undefined ? layer : { ...layer, frame: frameOf(layer, seen, mockup) };
  });
}

/** The part in the layer's coordinates; an empty layer has a frame without area. */
function frameOf({ box, bitmap }: BitmapLayer, seen: Box | null, { bitmaps }: Mockup): Box {
  const natural = bitmaps[bitmap];
  if (!seen || !natural) return { x: box.x, y: box.y, width: 0, height: 0 };
  const [scaleX, scaleY] = [box.width / natural.width, box.height / natural.height];
  return {
    x: box.x + seen.x * scaleX,
    y: box.y + seen.y * scaleY,
    width: seen.width * scaleX,
    height: seen.height * scaleY,
  };
}
