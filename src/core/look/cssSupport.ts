import { isUniform, isUpright, type Matrix } from '../mockup/matrix';
import type { Layer, ShapeLayer, TextLayer } from '../mockup/layer';
import type { Gradient, Paint, Stroke } from '../mockup/paint';
import { boxForm, type BoxForm } from './boxForm';
import { needsBox, shadowBearer } from './boxShadows';

/**
 * The reason why CSS cannot draw this layer exactly, in words that finish "a picture: …"; null when it can.
 * @param matrix from the layer's own coordinates to the screen's
 */
export function cssLimitation(layer: Layer, matrix: Matrix): string | null {
  return compositingLimitation(layer) ?? contentLimitation(layer, matrix);
}

/** The same for mask, clip and filter of the layer as a whole. */
function compositingLimitation(layer: Layer): string | null {
  if (layer.mask !== null) return 'its mask has no CSS';
  if (layer.clip?.kind === 'defined') return 'its clip is more than one plain shape';
  return effectsLimitation(layer);
}

function effectsLimitation(layer: Layer): string | null {
  const { effects } = layer;
  if (effects.some((effect) => effect.kind === 'defined')) return 'its filter has no CSS';
  if (effects.some((effect) => effect.kind === 'blur' && effect.linear) && !isOneColour(layer))
    return 'its blur mixes colours as light, which CSS does not';
  if (effects.some(needsBox) && !shadowBearer(layer))
    return 'it has an inner or grown shadow, which CSS has for plain boxes only';
  return null;
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

function contentLimitation(layer: Layer, matrix: Matrix): string | null {
  switch (layer.kind) {
    case 'group':
      return null;
    case 'bitmap':
      return 'it is a bitmap';
    case 'text':
      return textLimitation(layer);
    case 'shape':
      return shapeLimitation(layer, matrix);
  }
}

function textLimitation(layer: TextLayer): string | null {
  const [oddity] = layer.oddities;
  if (oddity) return `it has ${oddity}`;
  const runs = layer.lines.flatMap((line) => line.runs);
  if (runs.some((run) => run.fill && run.fill.kind !== 'solid'))
    return 'its letters are filled with a gradient or pattern';
  if (runs.some((run) => run.stroke && (run.stroke.paint.kind !== 'solid' || run.stroke.dashes.length > 0))) {
    return 'its letters have an outline that CSS cannot draw';
  }
  return null;
}

function shapeLimitation(layer: ShapeLayer, matrix: Matrix): string | null {
  const form = boxForm(layer);
  if (!form) return 'it is a free shape';
  if (Object.keys(layer.markers).length > 0) return 'it carries markers';
  if (form.kind === 'ring' && layer.fill?.kind !== 'solid')
    return 'its ring is filled with a gradient or pattern';
  const paint = form.kind === 'rule' ? null : layer.fill;
  return paintLimitation(paint, matrix) ?? strokeLimitation(layer.stroke, form.kind, matrix);
}

function strokeLimitation(stroke: Stroke | null, form: BoxForm['kind'], matrix: Matrix): string | null {
  if (!stroke) return null;
  if (stroke.paint.kind !== 'solid') return 'its outline is painted with a gradient or pattern';
  if (form === 'rule') return stroke.cap === 'round' ? 'its line has round ends' : null;
  if (stroke.dashes.length > 0) return 'its outline is dashed';
  if (form === 'box' && stroke.join === 'bevel') return 'its corners are cut off';
  if (stroke.fixedWidth && !isUniform(matrix)) return 'its outline keeps its width while it is stretched';
  return null;
}

function paintLimitation(paint: Paint | null, matrix: Matrix): string | null {
  if (!paint || paint.kind === 'solid') return null;
  if (paint.kind === 'defined') return 'it is filled with a pattern';
  return gradientLimitation(paint, matrix);
}

function gradientLimitation(gradient: Gradient, matrix: Matrix): string | null {
  if (gradient.spread === 'reflect') return 'its gradient is mirrored again and again';
  if (gradient.kind === 'linear') return null;
  if (gradient.fr > 0) return 'its gradient begins around its centre';
  if (Math.hypot(gradient.fx - gradient.cx, gradient.fy - gradient.cy) > 0.01 * gradient.r) {
    return 'its gradient shines from beside its centre';
  }
  const { transform } = gradient;
  const upright = isUpright(transform) || keepsCircles(transform);
  return upright && Number.isFinite(matrix[0]) ? null : 'its round gradient is slanted';
}

/** True when a circle stays a circle. */
export function keepsCircles(matrix: Matrix): boolean {
  const [a, b, c, d] = matrix;
  const size = Math.hypot(a, b);
  return Math.abs(a * c + b * d) < 1e-4 * size * size && Math.abs(Math.hypot(c, d) - size) < 1e-4 * size;
}
