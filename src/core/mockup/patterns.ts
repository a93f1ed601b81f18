import type { LayerId } from './layer';
import type { Mockup } from './mockup';
import { layersOf } from './walk';

/** The source elements that are shown more than once, by name, each with the layers that show it. */
export function patternsOf(mockup: Mockup): ReadonlyMap<string, readonly LayerId[]> {
  const patterns = new Map<string, LayerId[]>();
  for (const layer of layersOf(mockup)) {
    if (layer.kind !== 'group' || layer.instanceOf === null) continue;
    const instances = patterns.get(layer.instanceOf);
    if (instances) instances.push(layer.id);
    else patterns.set(layer.instanceOf, [layer.id]);
  }
  return patterns;
}
