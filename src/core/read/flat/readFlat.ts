import { SHEET } from '../../mockup/identity';
import { bareLayer, type BitmapLayer, type GroupLayer } from '../../mockup/layer';
import type { FontBook } from '../../type/fontBook';
import { createLayerIds } from '../layerIds';
import { LIMITS } from '../limits';
import { ReadError } from '../readError';
import type { Reading } from '../reading';
import { shelveBitmap } from '../shelveBitmap';

/** Reads a flat picture: one screen of its size with one bitmap layer. */
export function readFlat(bytes: Uint8Array, name: string, book: FontBook): Reading {
  const shelf = { bitmaps: new Map(), assets: new Map() };
  const bitmap = shelveBitmap(bytes, shelf);
  if (!bitmap) throw new ReadError('unknown', { what: 'its picture is broken' });
  const { width, height } = bitmap;
  if (Math.max(width, height) > LIMITS.screen) {
    throw new ReadError('no-size', { what: `${width}×${height} px`, limit: LIMITS.screen });
  }
  const ids = createLayerIds();
  const box = { x: 0, y: 0, width, height };
  const layer: BitmapLayer = {
    kind: 'bitmap',
    ...bareLayer(ids.identityOf(ids.next(SHEET.id, 'picture', 'bitmap')), name),
    box,
    frame: box,
    bitmap: bitmap.id,
  };
  const root: GroupLayer = {
    kind: 'group',
    ...bareLayer(SHEET, name),
    isolated: true,
    instanceOf: null,
    layers: [layer],
  };
  return {
    mockup: {
      name,
      format: 'flat',
      screens: [
        { id: SHEET.id, name, width, height, origin: { x: 0, y: 0 }, found: 'whole', ground: null, root },
      ],
      bitmaps: { [bitmap.id]: bitmap },
      faces: {},
      definitions: {},
    },
    assets: shelf.assets,
    findings: [],
    bakes: [],
    merged: null,
    book,
  };
}
