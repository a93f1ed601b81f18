import { paintedIfShown, type Measures } from '../mockup/bounds';
import { sameBox, snapOut, union, type Box } from '../mockup/box';
import type { Layer } from '../mockup/layer';
import { IDENTITY, invert, isUpright, multiply, type Matrix } from '../mockup/matrix';
import { memoizeLast } from '../mockup/memoize';
import type { Mockup, Screen } from '../mockup/mockup';
import type { Decision, PictureOverride } from '../sort/decision';
import { layersNamed } from '../sort/merges';
import { withoutGround, type FreedIcon } from './iconGround';
import { ASSET_ADDRESS, type PictureSource } from './picture';
import { pictureBox, withoutLowest, withSurroundings, type BoxContext } from './pictureBox';
import type { Outliner } from './standaloneOptions';
import { asPicture, standaloneSvg, type PlacedLayer } from './standaloneSvg';

/** The content of a picture, and its box on the screen. */
export interface DrawnPicture {
  readonly box: Box;
  readonly source: PictureSource;
  /** What is drawn, in drawing order. */
  readonly layers: readonly Layer[];
  /** Pictures with equal content share their files. */
  readonly content: string;
  /** The document with letters that stay letters; null for a bitmap. */
  readonly withText: () => string | null;
}

/** Memoized: few edits change a picture. */
const lastDrawn = memoizeLast<Layer, DrawnPicture | null>();

/**
 * A layer as a picture; null when nothing of it is visible.
 * @param likeBox the box that it shares with its states, px of the screen; absent for its own
 */
export function drawLayer(
  layer: Layer,
  said: PictureOverride,
  context: BoxContext,
  outliner: Outliner,
  likeBox?: Box,
): DrawnPicture | null {
  const { screen, measured, mockup } = context;
  const { faces, definitions, bitmaps } = mockup;
  const matrix = measured.get(layer.id)?.matrix;
  if (!matrix) return null;
  const shared = likeBox ? [likeBox.x, likeBox.y, likeBox.width, likeBox.height] : [];
  return lastDrawn(layer, [said, measured, faces, definitions, bitmaps, outliner, ...shared], () => {
    const draw = (shown: PlacedLayer) =>
      drawnPicture(likeBox ?? boxOfPicture(layer, said, context), [shown], {
        mockup,
        outliner,
        ground: said.ground,
      });
    const freed = freedIcon(layer, said, context);
    if (freed) return draw({ layer: asPicture(freed.layer), matrix });
    const shown = said.ground === 'none' ? withoutLowest(layer, mockup) : layer;
    if (said.contents === undefined) return draw({ layer: asPicture(shown), matrix });
    const around = withSurroundings(screen.root, shown, said.contents, mockup);
    return draw({ layer: around, matrix: IDENTITY });
  });
}

/** The box that a picture is drawn in, px of the screen; null when nothing of it is visible. */
export function boxOfPicture(layer: Layer, said: PictureOverride, context: BoxContext): Box | null {
  return freedIcon(layer, said, context)?.box ?? pictureBox(layer, said.box, context);
}

/** An icon without the square beneath it, where a person said nothing else. */
function freedIcon(layer: Layer, said: PictureOverride, { screen, measured }: BoxContext): FreedIcon | null {
  const isAutomatic = said.box === undefined && said.ground === undefined && said.contents === undefined;
  return isAutomatic ? withoutGround(layer, screen, measured) : null;
}

/** Several layers as one picture, at the place of the topmost; null when nothing is visible. */
export function drawMerge(
  lead: Layer,
  merge: NonNullable<Decision['merge']>,
  { screen, measured, mockup }: BoxContext,
  outliner: Outliner,
): DrawnPicture | null {
  const { faces, definitions, bitmaps } = mockup;
  return lastDrawn(lead, [merge, measured, faces, definitions, bitmaps, outliner], () => {
    const measure = measured.get(lead.id);
    const own = measure && paintedIfShown(lead, measure, faces);
    if (!own) return null;
    const parts = partsOf(merge, screen, measured);
    const painted = parts.reduce<Box | null>((all, part) => union(all, part.painted), null) ?? own;
    return drawnPicture(painted, parts, { mockup, outliner });
  });
}

interface DrawOptions {
  readonly mockup: Mockup;
  readonly outliner: Outliner;
  /** The colour beneath all of it. Absent, or `none`, for what is clear. */
  readonly ground?: string;
}

function drawnPicture(
  painted: Box | null,
  parts: readonly PlacedLayer[],
  { mockup, outliner, ground }: DrawOptions,
): DrawnPicture | null {
  const box = painted && snapOut(painted);
  if (!box || box.width <= 0 || box.height <= 0) return null;
  const isClear = ground === undefined || ground === 'none';
  const [only, ...others] = parts;
  const bitmap =
    only?.layer.kind === 'bitmap' &&
    others.length === 0 &&
    isClear &&
    isPlainBitmap(only.layer, only.matrix, box)
      ? only.layer.bitmap
      : null;
  const bitmapAddress = (name: string) => `${ASSET_ADDRESS}${name}`;
  const svg = (letters: Outliner) =>
    withGround(
      standaloneSvg(parts, box, { mockup, outliner: letters, bitmapAddress }),
      isClear ? null : ground,
    );
  const source: PictureSource =
    bitmap === null ? { kind: 'svg', svg: svg(outliner) } : { kind: 'bitmap', bitmap };
  return {
    box,
    source,
    layers: parts.map(({ layer }) => layer),
    content: JSON.stringify([source, box.width, box.height]),
    withText: () => (bitmap === null ? svg(null) : null),
  };
}

/** The document with a colour beneath all of it. */
function withGround(svg: string, ground: string | null): string {
  return ground === null
    ? svg
    : svg.replace(/<svg\b[^>]*>/, (root) => `${root}<rect width="100%" height="100%" fill="${ground}"/>`);
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
