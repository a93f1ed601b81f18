import { withAncestors } from '../../core/mockup/changedKeys';
import type { Layer, LayerId } from '../../core/mockup/layer';
import { walk } from '../../core/mockup/walk';
import type { Mockup, Screen } from '../../core/mockup/mockup';

/** A row of the worksheet. */
export interface Row {
  readonly layer: Layer;
  /** 1 for the screen's direct children. */
  readonly level: number;
  readonly parent: LayerId | null;
  readonly hasChildren: boolean;
}

/**
 * The visible rows of a screen with folded groups, in drawing order: the lowest layer first.
 * @param only if given, only these layers and their ancestors, folded or not
 */
export function visibleRows(
  screen: Screen,
  folded: ReadonlySet<LayerId>,
  only: readonly LayerId[] | null = null,
): readonly Row[] {
  const rows: Row[] = [];
  const shown = only && withAncestors(screen, only);
  const add = (layer: Layer, level: number, parent: LayerId | null) => {
    if (shown && !shown.has(layer.id)) return;
    const hasChildren = layer.kind === 'group' && layer.layers.length > 0;
    rows.push({ layer, level, parent, hasChildren });
    if (hasChildren && (shown !== null || !folded.has(layer.id))) {
      for (const child of layer.layers) add(child, level + 1, layer.id);
    }
  };
  for (const layer of screen.root.layers) add(layer, 1, null);
  return rows;
}

const OPEN_AT_FIRST = 250;

/** Small mockups open completely; of large ones the first two levels. */
export function foldedAtFirst({ screens }: Mockup): ReadonlySet<LayerId> {
  return new Set(
    screens.flatMap((screen) => {
      const all = visibleRows(screen, new Set());
      const large = all.length > OPEN_AT_FIRST;
      return all.filter((row) => large && row.hasChildren && row.level >= 2).map((row) => row.layer.id);
    }),
  );
}

/** The layers from the screen to this one. */
export function layerPath({ root }: Screen, key: LayerId): readonly Layer[] {
  const visit = (layer: Layer): readonly Layer[] | null => {
    if (layer.id === key) return [layer];
    if (layer.kind !== 'group') return null;
    for (const child of layer.layers) {
      const path = visit(child);
      if (path) return [layer, ...path];
    }
    return null;
  };
  return (visit(root) ?? []).slice(1);
}

/** The ancestors of a layer, the nearest first. */
export function ancestorsOf(screen: Screen, key: LayerId): readonly LayerId[] {
  return layerPath(screen, key)
    .slice(0, -1)
    .map((layer) => layer.id)
    .reverse();
}

/** The screen of a layer; the first one for a layer that is on none. */
export function screenOf({ screens }: Mockup, key: LayerId): Screen {
  const found = screens.find((screen) => walk(screen.root).some((layer) => layer.id === key));
  const screen = found ?? screens[0];
  if (!screen) throw new Error('The mockup has no screen.');
  return screen;
}
