import { grow, intersection, moveBox, transformBox, union, type Box } from './box';
import type {
  Effect,
  FilterReach,
  GroupLayer,
  Layer,
  LayerId,
  PlacedLetter,
  ShapeLayer,
  TextLayer,
} from './layer';
import { IDENTITY, isUpright, meanScale, multiply, type Matrix } from './matrix';
import type { Mockup, Screen } from './mockup';
import type { FaceId, FontFace } from './type';
import { transformedBox } from './outline';
import { memoizeByObject } from './memoize';

/**
 * Standard deviations to which a Gaussian blur is painted (Filter Effects 1, §9.6: the rest is below a
 * hundredth).
 */
export const BLUR_REACH = 3;

export type Faces = Readonly<Record<FaceId, FontFace>>;

/**
 * The box of the layer's geometry after `matrix`, px, without stroke, effects and clips. Text counts from
 * ascent to descent. Null for an empty layer.
 */
export function geometryBox(layer: Layer, matrix: Matrix, faces: Faces): Box | null {
  const own = multiply(matrix, layer.transform);
  switch (layer.kind) {
    case 'group':
      return layer.layers.reduce<Box | null>(
        (box, child) => union(box, geometryBox(child, own, faces)),
        null,
      );
    case 'shape':
      return transformedBox(layer.outline, own);
    case 'bitmap':
      return transformBox(own, layer.frame);
    case 'text': {
      const box = textBox(layer, faces);
      return box && transformBox(own, box);
    }
  }
}

/** The place of a layer on its screen. */
export interface Measure {
  /** From the layer's own coordinates to the screen's. */
  readonly matrix: Matrix;
  /**
   * The box of everything that the layer paints, px of the screen: with strokes, shadows and blur, cut by
   * outline clips.
   */
  readonly painted: Box | null;
}

export type Measures = ReadonlyMap<LayerId, Measure>;

/** Measures every layer of a screen in one pass. The root is stored under the screen's own key. */
export function measureScreen(screen: Screen, faces: Faces): Measures {
  const measures = new Map<LayerId, Measure>();
  measureLayer(screen.root, IDENTITY, faces, measures);
  return measures;
}

/** Measures every screen, by its key. */
export const measureMockup = memoizeByObject(
  ({ screens, faces }: Mockup): ReadonlyMap<string, Measures> =>
    new Map(screens.map((screen) => [screen.id, measureScreen(screen, faces)])),
);

/** The box that a layer paints, px of the screen, also when it is hidden. */
export function paintedIfShown(layer: Layer, { matrix, painted }: Measure, faces: Faces): Box | null {
  if (layer.visible) return painted;
  return measureLayer({ ...layer, visible: true, transform: IDENTITY }, matrix, faces, new Map());
}

function measureLayer(layer: Layer, matrix: Matrix, faces: Faces, into: Map<LayerId, Measure>): Box | null {
  const own = multiply(matrix, layer.transform);
  const content =
    layer.kind === 'group'
      ? layer.layers.reduce<Box | null>(
          (box, child) => union(box, measureLayer(child, own, faces, into)),
          null,
        )
      : leafBox(layer, own, faces);
  const painted = layer.visible ? cutBox(layer, own, content, faces) : null;
  into.set(layer.id, { matrix: own, painted });
  return painted;
}

function cutBox(layer: Layer, own: Matrix, content: Box | null, faces: Faces): Box | null {
  const affected =
    content &&
    layer.effects.reduce<Box | null>(
      (box, effect) => box && effectBox(box, effect, own, () => localGeometryBox(layer, faces)),
      content,
    );
  if (!affected || layer.clip?.kind !== 'outline') return affected;
  const cut = transformedBox(layer.clip.outline, own);
  return cut && intersection(affected, cut);
}

/** The box that a layer paints by itself, px after `own`: with its stroke, without effects and clips. */
export function leafBox(layer: Exclude<Layer, GroupLayer>, own: Matrix, faces: Faces): Box | null {
  switch (layer.kind) {
    case 'shape':
      return shapeBox(layer, own);
    case 'bitmap':
      return transformBox(own, layer.frame);
    case 'text': {
      const box = textBox(layer, faces);
      return box && transformBox(own, box);
    }
  }
}

function shapeBox(layer: ShapeLayer, own: Matrix): Box | null {
  if (!layer.fill && !layer.stroke) return null;
  const box = transformedBox(layer.outline, own);
  if (!box || !layer.stroke) return box;
  const width = layer.stroke.width * (layer.stroke.fixedWidth ? 1 : meanScale(own));
  // A mitre reaches further than half the stroke width, up to its limit.
  const pointed = layer.outline.kind === 'path' && layer.stroke.join === 'miter';
  const marked = Object.keys(layer.markers).length > 0;
  const reach = pointed ? Math.min(layer.stroke.miterLimit, 4) : 1;
  const squared = layer.stroke.cap === 'square' ? Math.SQRT2 : 1;
  if (layer.outline.kind === 'line' && layer.stroke.cap === 'butt' && isUpright(own) && !marked) {
    const { x1, x2, y1, y2 } = layer.outline;
    if (y1 === y2) return { ...box, y: box.y - width / 2, height: width };
    if (x1 === x2) return { ...box, x: box.x - width / 2, width };
  }
  return grow(box, Math.max((width / 2) * reach * squared, layer.markerReach * meanScale(own)));
}

/** The layer's geometry in its own coordinates. */
function localGeometryBox(layer: Layer, faces: Faces): Box | null {
  return geometryBox({ ...layer, transform: IDENTITY }, IDENTITY, faces);
}

/** @param geometry the box that bounding-box units refer to */
function effectBox(box: Box, effect: Effect, own: Matrix, geometry: () => Box | null): Box | null {
  const scale = meanScale(own);
  switch (effect.kind) {
    case 'blur':
      return grow(box, Math.ceil(effect.deviation * scale * BLUR_REACH));
    case 'colour':
    case 'inner-shadow':
      return box;
    case 'drop-shadow': {
      const [a, b, c, d] = own;
      const shadow = grow(
        box,
        Math.ceil((effect.deviation * BLUR_REACH + Math.max(0, effect.spread)) * scale),
      );
      const moved = moveBox(shadow, a * effect.dx + c * effect.dy, b * effect.dx + d * effect.dy);
      return union(box, moved) ?? box;
    }
    case 'defined':
      return filteredBox(box, effect.reach, own, geometry);
  }
}

/** The box that a filter paints, px of the screen (Filter Effects 1, §6). */
function filteredBox(
  box: Box,
  { region, byBox, beyond }: FilterReach,
  own: Matrix,
  geometry: () => Box | null,
): Box | null {
  const measured = byBox ? geometry() : UNIT;
  const { x, y, width, height } = measured ?? UNIT;
  const within = transformBox(own, {
    x: x + region.x * width,
    y: y + region.y * height,
    width: region.width * width,
    height: region.height * height,
  });
  if (!beyond || !isUpright(own)) return within;
  const { top, right: past, bottom: below, left } = beyond;
  const [across, down] = [own[0], own[3]];
  const reached = {
    x: box.x - left * across,
    y: box.y - top * down,
    width: box.width + (left + past) * across,
    height: box.height + (top + below) * down,
  };
  return intersection(within, reached);
}

/** In this box, bounding-box fractions equal px. */
const UNIT: Box = { x: 0, y: 0, width: 1, height: 1 };

/** The box of the text's lines in its own coordinates, from the first ascent to the last descent. */
export function textBox(layer: TextLayer, faces: Faces): Box | null {
  if (layer.placed) return placedBox(layer.placed, faces);
  return layer.lines.reduce<Box | null>((box, line) => {
    if (line.runs.length === 0) return box;
    const [up, down] = line.runs.reduce(
      ([highest, lowest], run) => {
        const metrics = faces[run.face]?.metrics;
        const em = metrics ? run.style.size / metrics.unitsPerEm : 0;
        return [
          Math.max(highest, metrics ? metrics.ascent * em : run.style.size),
          Math.max(lowest, metrics ? metrics.descent * em : run.style.size / 4),
        ];
      },
      [0, 0],
    );
    return union(box, { x: line.x, y: line.baseline - up, width: line.width, height: up + down });
  }, null);
}

/** The box around letters that stand one by one. */
function placedBox(placed: readonly PlacedLetter[], faces: Faces): Box | null {
  return placed.reduce<Box | null>((box, { run, matrix }) => {
    const metrics = faces[run.face]?.metrics;
    const em = metrics ? run.style.size / metrics.unitsPerEm : 0;
    const [up, down] = metrics
      ? [metrics.ascent * em, metrics.descent * em]
      : [run.style.size, run.style.size / 4];
    const letter = { x: 0, y: -up, width: run.width, height: up + down };
    return union(box, transformBox(matrix, letter));
  }, null);
}
