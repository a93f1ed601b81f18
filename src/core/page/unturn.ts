import type { Clip, Effect, ShapeLayer } from '../mockup/layer';
import { applyTo, isUpright, multiply, quartered, type Matrix } from '../mockup/matrix';
import { transformOutline } from '../mockup/outline';
import type { Paint } from '../mockup/paint';

interface Drawn {
  readonly layer: ShapeLayer;
  /** From the layer's own coordinates to those of the screen. */
  readonly matrix: Matrix;
}

/**
 * A mirrored or quarter-turned shape as an upright one that looks the same. Drawing programs save such shapes
 * with a transform that no developer would write. Other shapes stay unchanged.
 */
export function uprightEquivalent(drawn: Drawn): Drawn {
  const { layer, matrix } = drawn;
  const found = isUpright(matrix) ? null : quartered(matrix);
  if (!found || layer.clip?.kind === 'defined') return drawn;
  const { quarters, rest } = found;
  const { stroke } = layer;
  return {
    matrix: rest,
    layer: {
      ...layer,
      outline: transformOutline(layer.outline, quarters),
      fill: layer.fill && turnedPaint(layer.fill, quarters),
      stroke: stroke && { ...stroke, paint: turnedPaint(stroke.paint, quarters) },
      effects: layer.effects.map((effect) => turnedEffect(effect, quarters)),
      clip: layer.clip && turnedClip(layer.clip, quarters),
    },
  };
}

function turnedClip(clip: Clip, quarters: Matrix): Clip {
  return clip.kind === 'outline' ? { ...clip, outline: transformOutline(clip.outline, quarters) } : clip;
}

function turnedPaint(paint: Paint, quarters: Matrix): Paint {
  return paint.kind === 'linear' || paint.kind === 'radial'
    ? { ...paint, transform: multiply(quarters, paint.transform) }
    : paint;
}

function turnedEffect(effect: Effect, quarters: Matrix): Effect {
  if (effect.kind !== 'drop-shadow' && effect.kind !== 'inner-shadow') return effect;
  const { x, y } = applyTo(quarters, { x: effect.dx, y: effect.dy });
  return { ...effect, dx: x, dy: y };
}
