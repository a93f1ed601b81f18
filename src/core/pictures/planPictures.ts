import type { Measures } from '../mockup/bounds';
import type { Box } from '../mockup/box';
import type { Layer, LayerId } from '../mockup/layer';
import { meanScale, type Matrix } from '../mockup/matrix';
import type { Mockup, Screen } from '../mockup/mockup';
import { memoizeByObject } from '../mockup/memoize';
import { holdsBitmap, walk } from '../mockup/walk';
import type { Report } from '../findings/finding';
import type { Decision, Decisions } from '../sort/decision';
import { freeName } from '../markup/freeName';
import type { Version } from '../sort/decide/stateVersions';
import { fileName, resourceName } from '../sort/outputNames';
import { withBitmapsBeside } from './bitmapsBeside';
import { drawLayer, drawMerge } from './drawnPicture';
import { ALL_PICTURES, automaticRecipe, type PictureSupport } from './recipes/automaticRecipe';
import { vectorDrawable } from './vectorDrawable';
import { createFileWriter, NO_RECIPES, type ReadyFile } from './recipes/fileWriter';
import type { PictureRecipes } from './recipes/recipe';
import {
  BITMAP_FORMATS,
  fileEnding,
  type Picture,
  type PicturePlan,
  type PictureSource,
  type SharedFile,
} from './picture';
import { likeIcons } from './likeIcons';
import type { ContextOf } from './pictureBox';
import type { Outliner } from './standaloneOptions';
import { stateBoxes } from './stateBoxes';

export interface PlanOptions {
  /** What is said of pictures. Absent for nothing. */
  readonly said?: PictureRecipes;
  /** What the platform shows. Absent for all. */
  readonly support?: PictureSupport;
  /** True where pictures stand in the flow: then icons of one kind have one box. */
  readonly flows: boolean;
}

/** An original that the platform shows where it lies; null for another. */
function shownOriginal(file: ReadyFile | null, { photos, hasDensities }: PictureSupport): ReadyFile | null {
  const isNew = file?.ready.format === 'webp' || file?.ready.format === 'avif';
  return hasDensities || (photos === 'jpeg' && isNew) ? null : file;
}

/** What SVG Tiny 1.2 does not have. */
const EFFECTS = /<(?:filter|mask|clipPath|pattern|style|text|image|symbol)\b|mix-blend|isolation|paint-order/;

/**
 * Plans every picture and its files: names, formats, sizes, and the layers that share one.
 * @param decisions those about states included
 */
export function planPictures(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  decisions: Decisions,
  versions: readonly Version[],
  outliner: Outliner,
  report: Report,
  { said = NO_RECIPES, flows, support = ALL_PICTURES }: PlanOptions,
): PicturePlan {
  const byContent = new Map<
    string,
    Pick<Picture, 'name' | 'source' | 'files' | 'reason' | 'isAsked'> & { readonly layers: LayerId[] }
  >();
  const placed = new Map<LayerId, { picture: string; box: Box }>();
  const symbolsOf = new Map<string, string[]>();
  const names = new Set<string>();
  const writer = createFileWriter(said, report);
  const places = placesOf(mockup);
  const contextOf: ContextOf = (key) => {
    const screen = places.get(key)?.screen;
    const measured = screen && measures.get(screen.id);
    return screen && measured ? { screen, measured, mockup } : null;
  };
  const likeBoxes = new Map([
    ...(flows ? likeIcons(mockup.screens, decisions, contextOf) : []),
    ...stateBoxes(versions, decisions, contextOf),
  ]);
  // The parts are in drawing order.
  for (const [key, decision] of picturesOf(decisions)) {
    const place = places.get(key);
    const measured = place && measures.get(place.screen.id);
    const measure = measured?.get(key);
    if (!place || !measured || !measure) continue;
    const { screen, layer } = place;
    const drawn = decision.merge
      ? drawMerge(layer, decision.merge, { screen, measured, mockup }, outliner)
      : drawLayer(
          layer,
          decision.pictureOverride,
          { screen, measured, mockup },
          outliner,
          likeBoxes.get(key),
        );
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
      shownOriginal(originalFile(name, source, box, mockup), support) ??
      drawableFile(name, source, box, support) ??
      automaticRecipe(
        layers,
        mockup,
        {
          longest: Math.max(box.width, box.height),
          density,
          isPlain: source.kind === 'svg' && !EFFECTS.test(source.svg),
          fillsBox: source.kind === 'bitmap' || decision.pictureOverride.ground?.startsWith('#') === true,
        },
        support,
      );
    const shape = { name, width: box.width, height: box.height, isVector: !layers.some(holdsBitmap) };
    const { files, reason, symbols } = writer.filesOf(shape, layer.id, recipes, automatic);
    for (const each of symbols) symbolsOf.set(each, [...(symbolsOf.get(each) ?? []), name]);
    const asksForText = files.some(({ svg }) => svg?.text === 'text');
    const withText = asksForText ? drawn.withText() : null;
    const whole = source.kind === 'svg' && withText !== null ? { ...source, withText } : source;
    byContent.set(mark, {
      name,
      layers: [layer.id],
      source: whole,
      files,
      reason,
      ...(recipes !== null && { isAsked: true as const }),
    });
    placed.set(layer.id, { picture: name, box });
  }
  const symbols = [...symbolsOf].map(([each, names]): SharedFile => {
    const path = writer.freePath(`pictures/${each}`, 'svg');
    return { kind: 'symbols', path, format: 'svg', width: 0, height: 0, pictures: names };
  });
  const { pictures, bitmapFiles } = withBitmapsBeside([...byContent.values()], mockup, writer);
  return { pictures, sharedFiles: [...symbols, ...bitmapFiles], placed };
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

function freePictureName(asked: string, names: Set<string>): string {
  const wanted = asked.replace(/[^/]+/g, (part) => fileName(part, 'picture'));
  const name = freeName(wanted, (each) => names.has(each));
  names.add(name);
  return name;
}

/** Px of the bitmap for one px of the screen; infinite for any other content. */
function densityOf(layer: Layer, own: Matrix, { bitmaps }: Mockup): number {
  const natural = layer.kind === 'bitmap' ? bitmaps[layer.bitmap] : undefined;
  if (layer.kind !== 'bitmap' || !natural || natural.type === 'image/svg+xml') return Infinity;
  return natural.width / (layer.box.width * meanScale(own));
}

/** How much wider than drawn a bitmap may be in proportion: boxes have whole px. */
const MOST_STRETCH = 0.01;

/** The file of a vector drawable; null where the platform needs none, or draws it otherwise. */
function drawableFile(
  name: string,
  source: PictureSource,
  { width, height }: Box,
  { svg }: PictureSupport,
): ReadyFile | null {
  if (svg !== 'drawable' || source.kind !== 'svg' || !vectorDrawable(source.svg)) return null;
  const path = `res/drawable/${resourceName(name.split('/').at(-1) ?? name)}.xml`;
  return {
    reason: 'shapes only: a vector drawable',
    ready: { path, format: 'drawable', width, height, scale: 1 },
  };
}

/**
 * The file of a bitmap that is used whole: its own bytes, whatever their size; null for other pictures, and for
 * one that is stretched.
 */
function originalFile(name: string, source: PictureSource, box: Box, { bitmaps }: Mockup): ReadyFile | null {
  const bitmap = source.kind === 'bitmap' ? bitmaps[source.bitmap] : undefined;
  const format = bitmap && BITMAP_FORMATS[bitmap.type];
  if (!bitmap || !format || format === 'svg') return null;
  const { width, height } = bitmap;
  const stretch = (width * box.height) / (height * box.width);
  if (Math.abs(stretch - 1) > MOST_STRETCH) return null;
  const path = `pictures/${name}.${fileEnding(format)}`;
  return {
    reason: 'the bitmap of the mockup as it is',
    ready: { path, format, width, height, scale: width / box.width, isOriginal: true },
  };
}
