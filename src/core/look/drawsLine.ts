import type { Layer } from '../mockup/layer';

/** True for a stroke from one point to another, with or without an arrow head. */
export function drawsLine(layer: Layer): boolean {
  if (layer.kind === 'group') return layer.layers.some(drawsLine);
  if (layer.kind !== 'shape' || !layer.stroke || layer.fill) return false;
  const { outline } = layer;
  return outline.kind === 'line' || (outline.kind === 'path' && !/z\s*$/i.test(outline.d));
}
