import { isUniform, isUpright, type Matrix } from '../mockup/matrix';
import type { Effect, Layer, ShapeLayer, TextLayer } from '../mockup/layer';
import type { Gradient, Paint, Stroke } from '../mockup/paint';
import { boxForm, type BoxForm } from './boxForm';
import { needsBox, shadowBearer } from './boxShadows';
import { FEATURES, type Capabilities, type Feature } from './features';

/**
 * Why a target cannot draw this layer exactly as an element, in words that finish "a picture: …"; null when it can.
 * @param matrix from the layer's own coordinates to the screen's
 */
export function limitation(layer: Layer, matrix: Matrix, { name, draws }: Capabilities): string | null {
  const missing = neededFeatures(layer, matrix).find((feature) => !draws[feature]);
  if (missing === undefined) return null;
  const oddity = missing === 'free-text' && layer.kind === 'text' ? layer.oddities[0] : undefined;
  return `${oddity === undefined ? FEATURES[missing] : `it has ${oddity}`}, which ${name} cannot draw`;
}

/**
 * The features that drawing the layer as an element needs, without its children.
 * @param matrix from the layer's own coordinates to the screen's
 */
export function neededFeatures(layer: Layer, matrix: Matrix): readonly Feature[] {
  return [...compositingFeatures(layer), ...contentFeatures(layer, matrix)];
}

/** The features of mask, clip, filter and blending of the layer as a whole. */
function compositingFeatures(layer: Layer): readonly Feature[] {
  const { mask, clip, effects, blend } = layer;
  return chosen({
    mask: mask !== null,
    'complex-clip': clip?.kind === 'defined',
    'complex-filter': has(effects, 'defined'),
    'linear-blur': effects.some((effect) => effect.kind === 'blur' && effect.linear) && !isOneColour(layer),
    'free-shadow': effects.some(needsBox) && !shadowBearer(layer),
    blur: has(effects, 'blur'),
    'colour-filter': has(effects, 'colour'),
    'drop-shadow': has(effects, 'drop-shadow'),
    'inner-shadow': has(effects, 'inner-shadow'),
    'grown-shadow': effects.some((effect) => 'spread' in effect && effect.spread !== 0),
    'blend-mode': blend !== 'normal',
  });
}

function has(effects: readonly Effect[], kind: Effect['kind']): boolean {
  return effects.some((effect) => effect.kind === kind);
}

/** The features whose condition holds, in the order of the conditions. */
function chosen(conditions: Partial<Record<Feature, boolean>>): readonly Feature[] {
  return (Object.keys(conditions) as Feature[]).filter((feature) => conditions[feature]);
}

/** True for a single shape or text in one solid colour, where linear and sRGB blending agree. */
function isOneColour(layer: Layer): boolean {
  switch (layer.kind) {
    case 'shape':
      return layer.fill?.kind !== 'linear' && layer.fill?.kind !== 'radial' && !(layer.fill && layer.stroke);
    case 'text':
      return (
        new Set(layer.lines.flatMap(({ runs }) => runs.map((run) => JSON.stringify(run.fill)))).size === 1
      );
    case 'group':
      return layer.layers.length === 1 && layer.layers[0] !== undefined && isOneColour(layer.layers[0]);
    case 'bitmap':
      return false;
  }
}

function contentFeatures(layer: Layer, matrix: Matrix): readonly Feature[] {
  switch (layer.kind) {
    case 'group':
      return [];
    case 'bitmap':
      return ['bitmap'];
    case 'text':
      return textFeatures(layer);
    case 'shape':
      return shapeFeatures(layer, matrix);
  }
}

function textFeatures(layer: TextLayer): readonly Feature[] {
  const runs = layer.lines.flatMap((line) => line.runs);
  const strokes = runs.flatMap(({ stroke }) => stroke ?? []);
  return chosen({
    'free-text': layer.oddities.length > 0,
    'painted-letters': runs.some(({ fill }) => fill && fill.kind !== 'solid'),
    'drawn-letter-outline': strokes.some(({ paint, dashes }) => paint.kind !== 'solid' || dashes.length > 0),
    'letter-outline': strokes.length > 0,
  });
}

function shapeFeatures(layer: ShapeLayer, matrix: Matrix): readonly Feature[] {
  const form = boxForm(layer);
  if (!form) return ['free-shape'];
  return [
    ...chosen({
      markers: Object.keys(layer.markers).length > 0,
      'painted-ring': form.kind === 'ring' && layer.fill?.kind !== 'solid',
    }),
    ...(form.kind === 'rule' ? [] : paintFeatures(layer.fill, matrix)),
    ...strokeFeatures(layer.stroke, form.kind, matrix),
  ];
}

function strokeFeatures(stroke: Stroke | null, form: BoxForm['kind'], matrix: Matrix): readonly Feature[] {
  if (!stroke) return [];
  const isRule = form === 'rule';
  return chosen({
    'painted-outline': stroke.paint.kind !== 'solid',
    'round-line-ends': isRule && stroke.cap === 'round',
    dashes: !isRule && stroke.dashes.length > 0,
    'cut-corners': form === 'box' && stroke.join === 'bevel',
    'fixed-outline': !isRule && stroke.fixedWidth && !isUniform(matrix),
  });
}

function paintFeatures(paint: Paint | null, matrix: Matrix): readonly Feature[] {
  if (!paint || paint.kind === 'solid') return [];
  return paint.kind === 'defined' ? ['pattern'] : gradientFeatures(paint, matrix);
}

function gradientFeatures(gradient: Gradient, matrix: Matrix): readonly Feature[] {
  const mirrored = chosen({ 'mirrored-gradient': gradient.spread === 'reflect' });
  if (gradient.kind === 'linear') return [...mirrored, 'linear-gradient'];
  const { transform, fr, fx, fy, cx, cy, r } = gradient;
  const isUnslanted = (isUpright(transform) || keepsCircles(transform)) && Number.isFinite(matrix[0]);
  return [
    ...mirrored,
    ...chosen({
      'ring-gradient': fr > 0,
      'focal-gradient': Math.hypot(fx - cx, fy - cy) > 0.01 * r,
      'slanted-gradient': !isUnslanted,
      'round-gradient': true,
    }),
  ];
}

/** True when a circle stays a circle. */
export function keepsCircles(matrix: Matrix): boolean {
  const [a, b, c, d] = matrix;
  const size = Math.hypot(a, b);
  return Math.abs(a * c + b * d) < 1e-4 * size * size && Math.abs(Math.hypot(c, d) - size) < 1e-4 * size;
}
