import type { Layer, LayerKey } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';

/** A line of the worksheet. */
export interface Row {
  readonly layer: Layer;
  /** 1 for the layers directly on the screen. */
  readonly level: number;
  readonly parent: LayerKey | null;
  readonly hasChildren: boolean;
}

/** The rows that are seen when the given groups are folded, in drawing order: the lowest layer first. */
export function visibleRows(mockup: Mockup, folded: ReadonlySet<LayerKey>): readonly Row[] {
  const rows: Row[] = [];
  const add = (layer: Layer, level: number, parent: LayerKey | null) => {
    const hasChildren = layer.kind === 'group' && layer.layers.length > 0;
    rows.push({ layer, level, parent, hasChildren });
    if (hasChildren && !folded.has(layer.key)) {
      for (const child of layer.layers) add(child, level + 1, layer.key);
    }
  };
  for (const screen of mockup.screens) for (const layer of screen.root.layers) add(layer, 1, null);
  return rows;
}

const OPEN_AT_FIRST = 250;

/** Small mockups open wholly; of large ones the first two levels. */
export function foldedAtFirst(mockup: Mockup): ReadonlySet<LayerKey> {
  const all = visibleRows(mockup, new Set());
  if (all.length <= OPEN_AT_FIRST) return new Set();
  return new Set(all.filter((row) => row.hasChildren && row.level >= 2).map((row) => row.layer.key));
}

/** The groups around a layer, the nearest first. */
export function ancestorsOf(mockup: Mockup, key: LayerKey): readonly LayerKey[] {
  const parents = new Map(visibleRows(mockup, new Set()).map((row) => [row.layer.key, row.parent]));
  const chain: LayerKey[] = [];
  for (let next = parents.get(key); next; next = parents.get(next)) chain.push(next);
  return chain;
}
