import type { Layer, LayerId } from './layer';
import { memoizeByObject } from './memoize';
import type { Mockup } from './mockup';

/** Answers questions about the kin of layers, so that nobody needs to take an id or a path apart. */
export interface LayerTree {
  readonly layer: (id: LayerId) => Layer | undefined;
  /** The group around a layer; undefined for a screen's root. */
  readonly parent: (id: LayerId) => LayerId | undefined;
  /** The groups around a layer, the nearest first. */
  readonly ancestors: (id: LayerId) => readonly LayerId[];
  /** A layer and the groups around it, the nearest first. */
  readonly lineage: (id: LayerId) => readonly LayerId[];
}

/** The kin of all layers on all screens of a mockup. */
export const treeOf = memoizeByObject(({ screens }: Mockup): LayerTree => {
  const layers = new Map<LayerId, Layer>();
  const parents = new Map<LayerId, LayerId>();
  const visit = (layer: Layer): void => {
    layers.set(layer.id, layer);
    if (layer.kind !== 'group') return;
    for (const child of layer.layers) {
      parents.set(child.id, layer.id);
      visit(child);
    }
  };
  for (const { root } of screens) visit(root);
  const lineage = (id: LayerId) => {
    const line: LayerId[] = [];
    for (let at: LayerId | undefined = id; at !== undefined; at = parents.get(at)) line.push(at);
    return line;
  };
  return {
    layer: (id) => layers.get(id),
    parent: (id) => parents.get(id),
    ancestors: (id) => lineage(id).slice(1),
    lineage,
  };
});
