import sharp, { type Blend } from 'sharp';
import type { Report } from '../../core/findings/finding';
import { measureScreen } from '../../core/mockup/bounds';
import { snapOut, intersection, type Box } from '../../core/mockup/box';
import {
  bareLayer,
  type BitmapLayer,
  type GroupLayer,
  type Layer,
  type LayerId,
} from '../../core/mockup/layer';
import { invert, multiply, translation, type Matrix } from '../../core/mockup/matrix';
import type { Bitmap, Mockup } from '../../core/mockup/mockup';
import { walk } from '../../core/mockup/walk';
import { standaloneSvg } from '../../core/pictures/standaloneSvg';
import type { Bake, BakedOperator } from '../../core/read/reading';
import { dataUri } from '../pictures/renderPicture';
import { mapLayers } from './mapLayers';

const BLENDS: Readonly<Record<BakedOperator, Blend>> = {
  'dst-in': 'dest-in',
  'dst-out': 'dest-out',
  'src-atop': 'atop',
  'dst-atop': 'dest-atop',
};

/**
 * Draws compositions that CSS lacks: a layer and all layers beneath it in its group become one bitmap layer,
 * at the group's 1x.
 */
export async function bakeCompositions(
  read: Mockup,
  given: ReadonlyMap<string, Uint8Array>,
  bakes: readonly Bake[],
  report: Report,
): Promise<{ mockup: Mockup; assets: ReadonlyMap<string, Uint8Array> }> {
  let mockup = read;
  const assets = new Map(given);
  for (const bake of bakes) {
    const baked = await bakeOne(mockup, assets, bake);
    if (!baked) continue;
    const { bitmap, bytes, layer, below } = baked;
    assets.set(bitmap.id, bytes);
    mockup = replaceLayers(
      { ...mockup, bitmaps: { ...mockup.bitmaps, [bitmap.id]: bitmap } },
      bake.group,
      layer,
    );
    report('composite-baked', layer.id, { operator: bake.operator, count: below });
  }
  return { mockup, assets };
}

async function bakeOne(
  mockup: Mockup,
  assets: ReadonlyMap<string, Uint8Array>,
  { group: key, layer: top, operator }: Bake,
) {
  const found = findGroup(mockup, key);
  const at = found?.group.layers.findIndex((layer) => layer.id === top) ?? -1;
  const layer = found?.group.layers[at];
  if (!found || !layer || !layer.visible) return null;
  const below = found.group.layers.slice(0, at);
  const area = snapOut(found.area);
  if (area.width <= 0 || area.height <= 0) return null;
  const draw = (layers: readonly Layer[]) =>
    sharp(Buffer.from(drawing(layers, found.matrix, area, mockup, assets)), {
      unlimited: true,
      limitInputPixels: 256_000_000,
    })
      .ensureAlpha()
      .png()
      .toBuffer();
  const plain = { ...layer, blend: 'normal' as const };
  const input = await draw([plain]);
  const bytes = await sharp(await draw(below))
    .composite([{ input, blend: BLENDS[operator] }])
    .png()
    .toBuffer();
  const bitmap: Bitmap = {
    id: `baked-${assets.size + 1}`,
    type: 'image/png',
    width: area.width,
    height: area.height,
  };
  const baked: BitmapLayer = {
    kind: 'bitmap',
    ...bareLayer(layer, layer.sourceName),
    // The drawing is in px of the screen, the layer in px of its group.
    transform: multiply(invert(found.matrix) ?? translation(0, 0), translation(area.x, area.y)),
    box: { x: 0, y: 0, width: area.width, height: area.height },
    frame: { x: 0, y: 0, width: area.width, height: area.height },
    bitmap: bitmap.id,
  };
  return { bitmap, bytes, layer: baked, below: below.length };
}

function drawing(
  layers: readonly Layer[],
  matrix: Matrix,
  area: Box,
  mockup: Mockup,
  assets: ReadonlyMap<string, Uint8Array>,
): string {
  const options = { mockup, outliner: null, bitmapAddress: (name: string) => dataUri(name, mockup, assets) };
  return standaloneSvg(
    layers.map((layer) => ({ layer, matrix })),
    area,
    options,
  );
}

/** The group with its transform to the screen, and the area of the screen that it paints. */
function findGroup(mockup: Mockup, key: LayerId): { group: GroupLayer; matrix: Matrix; area: Box } | null {
  for (const screen of mockup.screens) {
    for (const layer of walk(screen.root)) {
      if (layer.kind !== 'group' || layer.id !== key) continue;
      const measure = measureScreen(screen, mockup.faces).get(key);
      const whole = { x: 0, y: 0, width: screen.width, height: screen.height };
      const area = measure?.painted ? intersection(measure.painted, whole) : null;
      return measure && area ? { group: layer, matrix: measure.matrix, area } : null;
    }
  }
  return null;
}

/** Replaces the layer with that key, and all layers beneath it, by the baked one. */
function replaceLayers(mockup: Mockup, group: LayerId, baked: BitmapLayer): Mockup {
  return mapLayers(mockup, (layer) => {
    if (layer.kind !== 'group' || layer.id !== group) return layer;
    const at = layer.layers.findIndex((child) => child.id === baked.id);
    return { ...layer, layers: [baked, ...layer.layers.slice(at + 1)] };
  });
}
