import type { Layer, ShapeLayer } from '../mockup/layer';
import { IDENTITY, multiply, type Matrix } from '../mockup/matrix';
import { transformOutline } from '../mockup/outline';

/**
 * A layer whose shapes have their place in their own coordinates, where only translations move them: equal
 * drawings at different places are then equal as text. Other transforms stay.
 * @param around from the layer's parent to the picture
 */
export function settle(layer: Layer, around: Matrix): Layer {
  const own = multiply(around, layer.transform);
  const isFree = isTranslation(own) && !layer.clip && !layer.mask && layer.filter === null;
  if (isFree && layer.kind === 'group')
    return { ...layer, transform: IDENTITY, layers: layer.layers.map((child) => settle(child, own)) };
  if (isFree && layer.kind === 'shape' && isPlainlyPainted(layer))
    return { ...layer, transform: IDENTITY, outline: transformOutline(layer.outline, own) };
  return { ...layer, transform: own };
}

function isTranslation([a, b, c, d]: Matrix): boolean {
  return a === 1 && b === 0 && c === 0 && d === 1;
}

/** Gradients and patterns are measured in the coordinates of the element that they paint (SVG 2, §14.2.1). */
function isPlainlyPainted({ fill, stroke, markers }: ShapeLayer): boolean {
  const isSolid = (paint: ShapeLayer['fill']) => paint === null || paint.kind === 'solid';
  return isSolid(fill) && isSolid(stroke?.paint ?? null) && Object.keys(markers).length === 0;
}
