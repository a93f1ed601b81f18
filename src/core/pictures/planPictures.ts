import { paintedIfShown, type Measure, type Measures } from '../mockup/bounds';
import { sameBox, snapOut, union, type Box } from '../mockup/box';
import type { Layer, LayerId } from '../mockup/layer';
import { IDENTITY, invert, isUpright, meanScale, multiply, type Matrix } from '../mockup/matrix';
import type { BitmapType, Mockup, Screen } from '../mockup/mockup';
import { memoizeLast, memoizeByObject } from '../mockup/memoize';
import { walk } from '../mockup/walk';
import type { Report } from '../findings/finding';
import type { Decision, Decisions } from '../sort/decision';
import { layersNamed } from '../sort/merges';
import { freeName } from '../markup/freeName';
import { fileName } from '../sort/outputNames';
import { withoutGround } from './iconGround';
import { nominalBox } from './nominalBox';
import { automaticRecipe } from './recipes/automaticRecipe';
import { createFileWriter, NO_RECIPES, type OriginalFile } from './recipes/fileWriter';
import type { PictureRecipes } from './recipes/recipe';
import {
  ASSET_ADDRESS,
  fileEnding,
  type Picture,
  type PictureFormat,
  type PicturePlan,
  type PictureSource,
} from './picture';
import { asPicture, standaloneSvg, type PlacedLayer } from './standaloneSvg';
import type { Outliner } from './standaloneOptions';

/** Plans every picture and its files: names, formats, sizes, and the layers that share one. */
export function planPictures(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  decisions: Decisions,
  outliner: Outliner,
  report: Report,
  said: PictureRecipes = NO_RECIPES,
): PicturePlan {
  const byContent = new Map<
    string,
    Pick<Picture, 'name' | 'source' | 'files' | 'reason'> & { readonly layers: LayerId[] }
  >();
  const placed = new Map<LayerId, { picture: string; box: Box }>();
  const names = new Set<string>();
  const writer = createFileWriter(said, report);
  const places = placesOf(mockup);
  // The parts are in drawing order.
  for (const [key, decision] of picturesOf(decisions)) {
    const place = places.get(key);
    const measured = place && measures.get(place.screen.id);
    const measure = measured?.get(key);
    if (!place || !measured || !measure) continue;
    const { screen, layer } = place;
    const drawn = decision.merge
      ? drawMerge(layer, decision.merge, screen, measured, mockup, outliner)
      : drawLayer(layer, measure, { screen, measured }, mockup, outliner);
    if (!drawn) continue;
    const { box, source, content, layers } = drawn;
    const recipes = decision.recipes ?? said.usual ?? null;
    // Equal pictures with other recipes have other files.
    const mark = recipes === null ? content : `${content} ${recipes.join(' ')}`;
    const known = byContent.get(mark);
    if (known) {
      known.layers.push(layer.id);
      placed.set(layer.id, { picture: known.name, box });
      continue;
    }
    const name = freePictureName(decision.outputName, names);
    if (decision.named && name !== decision.outputName) {
      report('name-taken', layer.id, { name: decision.outputName, became: name });
    }
    const density = decision.merge ? Infinity : densityOf(layer, measure.matrix, mockup);
    const automatic = () =>
      originalFile(name, source, box, mockup) ??
      automaticRecipe(layers, mockup, {
        longest: Math.max(box.width, box.height),
        density,
        fillsBox: source.kind === 'bitmap',
      });
    const shape = { name, width: box.width, height: box.height, isVector: !layers.some(hasBitmap) };
    const { files, reason } = writer.filesOf(shape, layer.id, recipes, automatic);
    byContent.set(mark, { name, layers: [layer.id], source, files, reason });
    placed.set(layer.id, { picture: name, box });
  }
  return { pictures: [...byContent.values()] satisfies Picture[], placed };
}

/** The layers that are pictures by themselves. `forEach` allocates no pair for each entry. */
function picturesOf(decisions: Decisions): readonly (readonly [LayerId, Decision])[] {
  const found: (readonly [LayerId, Decision])[] = [];
  decisions.forEach((decision, key) => {
    if (decision.outcome === 'picture' && decision.within === null) found.push([key, decision]);
  });
  return found;
}

/** Every layer with the screen that it is on. */
const placesOf = memoizeByObject(
  ({ screens }: Mockup): ReadonlyMap<LayerId, { readonly screen: Screen; readonly layer: Layer }> =>
    new Map(
      screens.flatMap((screen) => walk(screen.root).map((layer) => [layer.id, { screen, layer }] as const)),
    ),
);

/** The content of a picture, and its box on the screen. */
interface Drawn {
  readonly box: Box;
  readonly source: PictureSource;
  /** What is drawn, in drawing order. */
  readonly layers: readonly Layer[];
  /** Pictures with equal content share their files. */
  readonly content: string;
}

/** Memoized: few edits change a picture. */
const lastDrawn = memoizeLast<Layer, Drawn | null>();

/** A layer as a picture; null when nothing of it is visible. */
function drawLayer(
  layer: Layer,
  measure: Measure,
  { screen, measured }: { readonly screen: Screen; readonly measured: Measures },
  mockup: Mockup,
  outliner: Outliner,
): Drawn | null {
  const { faces, definitions, bitmaps } = mockup;
  return lastDrawn(layer, [measure, measured, faces, definitions, bitmaps, outliner], () => {
    const freed = withoutGround(layer, screen, measured);
    if (freed)
      return drawnPicture(freed.box, [freed.layer], (box) =>
        sourceOf(freed.layer, measure.matrix, box, mockup, outliner),
      );
    const painted = paintedIfShown(layer, measure, faces);
    const nominal = painted && nominalBox(layer, measure.matrix, painted);
    return drawnPicture(nominal ?? painted, [layer], (box) =>
      sourceOf(layer, measure.matrix, box, mockup, outliner),
    );
  });
}

/** Several layers as one picture, at the place of the topmost; null when nothing is visible. */
function drawMerge(
  lead: Layer,
  merge: NonNullable<Decision['merge']>,
  screen: Screen,
  measures: Measures,
  mockup: Mockup,
  outliner: Outliner,
): Drawn | null {
  const { faces, definitions, bitmaps } = mockup;
  return lastDrawn(lead, [merge, measures, faces, definitions, bitmaps, outliner], () => {
    const measure = measures.get(lead.id);
    const own = measure && paintedIfShown(lead, measure, faces);
    if (!own) return null;
    const parts = partsOf(merge, screen, measures);
    const painted = parts.reduce<Box | null>((all, part) => union(all, part.painted), null) ?? own;
    const layers = parts.map(({ layer }) => layer);
    return drawnPicture(painted, layers, (box) => svgOf(parts, box, mockup, outliner));
  });
}

function drawnPicture(
  painted: Box | null,
  layers: readonly Layer[],
  sourceIn: (box: Box) => PictureSource,
): Drawn | null {
  const box = painted && snapOut(painted);
  if (!box || box.width <= 0 || box.height <= 0) return null;
  const source = sourceIn(box);
  return {
    box,
    source,
    layers,
    content: JSON.stringify([source, box.width, box.height]),
  };
}

function freePictureName(asked: string, names: Set<string>): string {
  const wanted = asked.replace(/[^/]+/g, (part) => fileName(part, 'picture'));
  const name = freeName(wanted, (each) => names.has(each));
  names.add(name);
  return name;
}

/** The layer at full opacity and without blending: both stay properties of the page. */
function sourceOf(layer: Layer, own: Matrix, box: Box, mockup: Mockup, outliner: Outliner): PictureSource {
  if (layer.kind === 'bitmap' && isPlainBitmap(layer, own, box))
    return { kind: 'bitmap', bitmap: layer.bitmap };
  return svgOf([{ layer: asPicture(layer), matrix: own }], box, mockup, outliner);
}

function svgOf(layers: readonly PlacedLayer[], box: Box, mockup: Mockup, outliner: Outliner): PictureSource {
  const bitmapAddress = (bitmap: string) => `${ASSET_ADDRESS}${bitmap}`;
  return { kind: 'svg', svg: standaloneSvg(layers, box, { mockup, outliner, bitmapAddress }) };
}

interface Part extends PlacedLayer {
  readonly painted: Box | null;
}

/** The layers of a merged picture, each with its own transform worked into the matrix. */
function partsOf(
  { layers }: NonNullable<Decision['merge']>,
  screen: Screen,
  measures: Measures,
): readonly Part[] {
  return layersNamed(screen, layers).flatMap((layer) => {
    const measure = measures.get(layer.id);
    return measure ? [{ layer: { ...layer, transform: IDENTITY }, ...measure }] : [];
  });
}

function isPlainBitmap(layer: Extract<Layer, { kind: 'bitmap' }>, own: Matrix, box: Box): boolean {
  const dressed = layer.clip !== null || layer.mask !== null || layer.effects.length > 0;
  if (dressed || !isUpright(own) || !sameBox(layer.frame, layer.box)) return false;
  // A bitmap between px is drawn; one that fills whole px is the file itself.
  const inverse = invert(own);
  const back = inverse && multiply(inverse, [box.width, 0, 0, box.height, box.x, box.y]);
  const whole = {
    x: back?.[4] ?? NaN,
    y: back?.[5] ?? NaN,
    width: back?.[0] ?? NaN,
    height: back?.[3] ?? NaN,
  };
  return sameBox(whole, layer.box, 0.02);
}

function hasBitmap(layer: Layer): boolean {
  return walk(layer).some(({ kind }) => kind === 'bitmap');
}

/** Px of the bitmap for one px of the screen; infinite for any other content. */
function densityOf(layer: Layer, own: Matrix, { bitmaps }: Mockup): number {
  const natural = layer.kind === 'bitmap' ? bitmaps[layer.bitmap] : undefined;
  if (layer.kind !== 'bitmap' || !natural || natural.type === 'image/svg+xml') return Infinity;
  return natural.width / (layer.box.width * meanScale(own));
}

/** The endings of bitmaps that are files as they are. */
const ORIGINALS: Readonly<Record<BitmapType, Exclude<PictureFormat, 'svg' | 'avif'> | null>> = {
  'image/png': 'png',
  'image/jpeg': 'jpeg',
  'image/webp': 'webp',
  'image/gif': 'gif',
  'image/svg+xml': null,
};

/** How much wider than drawn a bitmap may be in proportion: boxes have whole px. */
const MOST_STRETCH = 0.01;

/**
 * The file of a bitmap that is used whole: its own bytes, whatever their size; null for other pictures, and for
 * one that is stretched.
 */
function originalFile(
  name: string,
  source: PictureSource,
  box: Box,
  { bitmaps }: Mockup,
): OriginalFile | null {
  const bitmap = source.kind === 'bitmap' ? bitmaps[source.bitmap] : undefined;
  const format = bitmap && ORIGINALS[bitmap.type];
  if (!bitmap || !format) return null;
  const { width, height } = bitmap;
  const stretch = (width * box.height) / (height * box.width);
  if (Math.abs(stretch - 1) > MOST_STRETCH) return null;
  const path = `pictures/${name}.${fileEnding(format)}`;
  return {
    reason: 'the bitmap of the mockup as it is',
    original: { path, format, width, height, scale: width / box.width, isOriginal: true },
  };
}
