import type { Effect, GroupLayer, Layer, ShapeLayer } from '../mockup/layer';
import { isOpaque } from '../mockup/paint';
import { boxForm } from './boxForm';

/**
 * True when CSS can draw the shape's effects as shadows around or inside its box. CSS draws no shadow beneath
 * a box, so the area beneath must be opaque or cut out.
 */
export function hasBoxShadows({ effects, fill }: Pick<ShapeLayer, 'effects' | 'fill'>): boolean {
  if (!fill || !effects.every(isShadow)) return false;
  return isOpaque(fill) || effects.every((effect) => effect.kind === 'drop-shadow' && effect.outside);
}

function isShadow({ kind }: Effect): boolean {
  return kind === 'drop-shadow' || kind === 'inner-shadow';
}

/** True for an effect that CSS has only for boxes: `filter` knows neither inner shadows nor a spread. */
export function needsBox(effect: Effect): boolean {
  return effect.kind === 'inner-shadow' || (effect.kind === 'drop-shadow' && effect.spread !== 0);
}

/**
 * The shape whose box shadows show the layer's effects: the layer itself, or the only shape of a group that
 * drawing programs wrap around it for the filter. Null when there is none.
 */
export function shadowBearer(layer: Layer): ShapeLayer | null {
  const bearer = layer.kind === 'group' ? wrapped(layer) : layer;
  return bearer?.kind === 'shape' && boxForm(bearer) && hasBoxShadows(bearer) ? bearer : null;
}

function wrapped({ layers, effects }: GroupLayer): ShapeLayer | null {
  const [only] = layers;
  if (layers.length !== 1 || only?.kind !== 'shape' || !only.visible) return null;
  const [a, b, c, d] = only.transform;
  const moved = a === 1 && b === 0 && c === 0 && d === 1;
  const bare = only.effects.length === 0 && only.mask === null && only.clip === null && only.opacity === 1;
  return moved && bare ? { ...only, effects } : null;
}
