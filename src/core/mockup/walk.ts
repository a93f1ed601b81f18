import type { Layer, LayerId } from './layer';
import type { Mockup } from './mockup';

/** Every layer below and including `layer`, parents before children, in drawing order. */
export function walk(layer: Layer): Layer[] {
  const found: Layer[] = [];
  collect(layer, found);
  return found;
}

// Into one array: a generator allocates for each layer, and each stage walks every mockup many times.
function collect(layer: Layer, into: Layer[]): void {
  into.push(layer);
  if (layer.kind === 'group') for (const child of layer.layers) collect(child, into);
}

/** Every layer of the mockup except the screens' own roots. */
export function layersOf(mockup: Mockup): Layer[] {
  return mockup.screens.flatMap((screen) => walk(screen.root).slice(1));
}

export function layersByKey(mockup: Mockup): ReadonlyMap<LayerId, Layer> {
  return new Map(layersOf(mockup).map((layer) => [layer.id, layer]));
}

/** True for a layer that is a bitmap, or holds one. */
export function holdsBitmap(layer: Layer): boolean {
  return walk(layer).some(({ kind }) => kind === 'bitmap');
}
