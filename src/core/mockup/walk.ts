import type { Layer, LayerKey } from './layer';
import type { Mockup } from './mockup';

/** Every layer below and including `layer`, parents before children, in drawing order. */
export function* walk(layer: Layer): Generator<Layer> {
  const open = [layer];
  for (let next = open.pop(); next; next = open.pop()) {
    yield next;
    if (next.kind === 'group') for (const child of next.layers.toReversed()) open.push(child);
  }
}

/** Every layer of the mockup except the screens' own roots. */
export function* layersOf(mockup: Mockup): Generator<Layer> {
  for (const screen of mockup.screens) for (const layer of screen.root.layers) yield* walk(layer);
}

export function layersByKey(mockup: Mockup): ReadonlyMap<LayerKey, Layer> {
  return new Map([...layersOf(mockup)].map((layer) => [layer.key, layer]));
}
