import { SHEET } from '../../mockup/identity';
import { findingList, type Report } from '../../findings/finding';
import { IDENTITY, translation } from '../../mockup/matrix';
import { bareLayer, type BitmapLayer, type GroupLayer, type Layer, type LayerId } from '../../mockup/layer';
import type { Bitmap } from '../../mockup/mockup';
import type { FontBook } from '../../type/fontBook';
import { decodeText } from '../decodeText';
import { createLayerIds, type LayerIds } from '../layerIds';
import { LIMITS } from '../limits';
import { ReadError } from '../readError';
import type { Bake, Reading } from '../reading';
import { shelveBitmap, type BitmapShelf } from '../shelveBitmap';
import { zipEntries } from '../zip';
import { elementsIn, type XmlNode } from '../xml/node';
import { parseXml } from '../xml/parseXml';
import { bakedOperator, blendOf } from './compositing';

const MERGED = 'mergedimage.png';

interface Context {
  readonly entries: ReadonlyMap<string, Uint8Array>;
  /** The bitmaps of the entries already taken, by entry; null for entries that are no bitmap. */
  readonly taken: Map<string, Bitmap | null>;
  readonly shelf: BitmapShelf;
  readonly ids: LayerIds;
  readonly report: Report;
  readonly bakes: Bake[];
}

/**
 * Reads an OpenRaster file (freedesktop.org, OpenRaster 0.0.5): one screen, its stacks as groups and its
 * layers as bitmaps at their offsets.
 * @throws ReadError when the archive or its `stack.xml` cannot be used
 */
export function readOpenRaster(bytes: Uint8Array, name: string, book: FontBook): Reading {
  const described = zipEntries(bytes, new Set(['mimetype', 'stack.xml']));
  // Older programs leave it out; another type is another format in a ZIP.
  const type = described.get('mimetype');
  if (type && decodeText(type).trim() !== 'image/openraster')
    throw new ReadError('foreign', { format: 'a ZIP of another kind' });
  const source = described.get('stack.xml');
  if (!source) throw new ReadError('entry-missing', { entry: 'stack.xml' });
  const image = parseXml(decodeText(source));
  const root = elementsIn(image).find((child) => child.name === 'stack');
  if (image.name !== 'image' || !root) throw new ReadError('entry-missing', { entry: 'the stack of layers' });
  const [width, height] = [side(image, 'w'), side(image, 'h')];

  const entries = zipEntries(bytes, new Set([...sourcesIn(root), MERGED]));
  const { findings, report } = findingList();
  const shelf = { bitmaps: new Map(), assets: new Map() };
  const ids = createLayerIds();
  const bakes: Bake[] = [];
  const layers = readStack(root, SHEET.id, { entries, taken: new Map(), shelf, ids, report, bakes });
  if (layers.length === 0) throw new ReadError('nothing-drawn');
  const drawn: GroupLayer = {
    kind: 'group',
    ...bareLayer(SHEET, name),
    isolated: true,
    instanceOf: null,
    layers,
  };
  return {
    mockup: {
      name,
      format: 'openraster',
      screens: [
        {
          id: SHEET.id,
          name,
          width,
          height,
          origin: { x: 0, y: 0 },
          found: 'whole',
          ground: null,
          root: drawn,
        },
      ],
      bitmaps: Object.fromEntries(shelf.bitmaps),
      faces: {},
      definitions: {},
    },
    assets: shelf.assets,
    findings,
    bakes,
    merged: entries.get(MERGED) ?? null,
    book,
  };
}

/** The entries with bitmaps of a stack's layers, in and below it. */
function sourcesIn(stack: XmlNode): readonly string[] {
  return elementsIn(stack).flatMap((node) =>
    node.name === 'stack' ? sourcesIn(node) : (node.attributes.src ?? []),
  );
}

function side(image: XmlNode, name: 'w' | 'h'): number {
  const value = Number(image.attributes[name]);
  if (!(value >= 1 && value <= LIMITS.screen)) {
    throw new ReadError('no-size', {
      what: `${name}="${image.attributes[name] ?? ''}"`,
      limit: LIMITS.screen,
    });
  }
  return value;
}

/** The file lists the topmost layer first; the tree has it last, in the order of drawing. */
function readStack(stack: XmlNode, parent: LayerId, context: Context): Layer[] {
  return elementsIn(stack)
    .reverse()
    .flatMap(
      (node) =>
        (node.name === 'stack' ? readGroup(node, parent, context) : readLayer(node, parent, context)) ?? [],
    );
}

function readGroup(node: XmlNode, parent: LayerId, context: Context): GroupLayer {
  const name = nameOf(node);
  const id = context.ids.next(parent, name, 'group');
  const layers = readStack(node, id, context);
  // A group that is not isolated, opaque and blended normally lets its layers blend with those beneath.
  const isolated = node.attributes.isolation === 'isolate';
  return {
    kind: 'group',
    ...bareLayer(context.ids.identityOf(id), name),
    ...dress(node, id, parent, context),
    transform: offset(node),
    isolated,
    instanceOf: null,
    layers,
  };
}

function readLayer(node: XmlNode, parent: LayerId, context: Context): BitmapLayer | null {
  if (node.name !== 'layer') {
    context.report('element-unknown', parent, { element: node.name });
    return null;
  }
  const name = nameOf(node);
  const id = context.ids.next(parent, name, 'layer');
  const source = node.attributes.src ?? '';
  const bitmap = takeBitmap(source, context);
  if (!bitmap) {
    const why = bitmap === null ? `${source} is no picture` : `the file has no entry ${source || 'for it'}`;
    context.report('bitmap-broken', id, { why });
    return null;
  }
  const box = { x: 0, y: 0, width: bitmap.width, height: bitmap.height };
  const place = { transform: offset(node), box, frame: box, bitmap: bitmap.id };
  return {
    kind: 'bitmap',
    ...bareLayer(context.ids.identityOf(id), name),
    ...dress(node, id, parent, context),
    ...place,
  };
}

/** The bitmap in an entry; null when it is no picture, undefined when there is no such entry. */
function takeBitmap(source: string, { entries, taken, shelf }: Context): Bitmap | null | undefined {
  const known = taken.get(source);
  if (known !== undefined) return known;
  const bytes = entries.get(source);
  if (!bytes) return undefined;
  const bitmap = shelveBitmap(bytes, shelf);
  taken.set(source, bitmap);
  return bitmap;
}

function nameOf(node: XmlNode): string | null {
  return node.attributes.name?.trim() || null;
}

function offset(node: XmlNode) {
  const [x, y] = [Number(node.attributes.x ?? 0), Number(node.attributes.y ?? 0)];
  return Number.isFinite(x + y) ? translation(x, y) : IDENTITY;
}

function dress({ attributes }: XmlNode, id: LayerId, parent: LayerId, { report, bakes }: Context) {
  const opacity = Number(attributes.opacity ?? 1);
  const operator = attributes['composite-op'];
  const blend = blendOf(operator);
  const baked = bakedOperator(operator);
  if (baked) bakes.push({ group: parent, layer: id, operator: baked });
  else if (blend === null) report('composite-replaced', id, { operator: operator ?? '' });
  const share = Number.isFinite(opacity) ? Math.min(1, Math.max(0, opacity)) : 1;
  return {
    // What is wholly clear is hidden, and keeps its art.
    visible: attributes.visibility !== 'hidden' && share > 0,
    opacity: share || 1,
    blend: blend ?? 'normal',
  };
}
