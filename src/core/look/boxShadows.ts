import type { Effect, ShapeLayer } from '../mockup/layer';
import { isOpaque } from '../mockup/paint';

/**
 * True when the shape's effects are shadows that CSS draws around or inside its box. CSS never draws a box's shadow
 * beneath the box: only one that is not seen there, or is cut out there, is alike.
 */
export function hasBoxShadows({ effects, fill }: Pick<ShapeLayer, 'effects' | 'fill'>): boolean {
  if (!fill || !effects.every(isShadow)) return false;
  return isOpaque(fill) || effects.every((effect) => effect.kind === 'drop-shadow' && effect.outside);
}

function isShadow({ kind }: Effect): boolean {
  return kind === 'drop-shadow' || kind === 'inner-shadow';
}

/** True for an effect that only boxes have in CSS: `filter` knows neither inner shadows nor a spread. */
export function needsBox(effect: Effect): boolean {
  return effect.kind === 'inner-shadow' || (effect.kind === 'drop-shadow' && effect.spread !== 0);
}
