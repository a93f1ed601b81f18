import Flatbush from 'flatbush';
import { bottom, contains, right, type Box } from '../../../core/mockup/box';
import type { Layer, LayerId } from '../../../core/mockup/layer';
import type { Screen } from '../../../core/mockup/mockup';
import type { Decision } from '../../../core/sort/decision';

/** A spatial index of the layers of a screen, px. */
export interface HitIndex {
  /** The layers under a point, the topmost first. */
  readonly at: (x: number, y: number) => readonly LayerId[];
  /** The layers completely inside a box, in drawing order. */
  readonly inside: (box: Box) => readonly LayerId[];
}

/** A picture counts as a whole, a group only by its parts, and a layer off the page not at all. */
export function hitIndex(
  screen: Screen,
  boxes: ReadonlyMap<LayerId, Box>,
  decisions: ReadonlyMap<LayerId, Decision>,
): HitIndex {
  const keys: LayerId[] = [];
  const places: Box[] = [];
  const visit = (layer: Layer) => {
    const decision = decisions.get(layer.id);
    if (decision?.outcome === 'aside') return;
    const box = boxes.get(layer.id);
    if (layer.kind === 'group' && decision?.outcome !== 'picture') layer.layers.forEach(visit);
    else if (box) {
      keys.push(layer.id);
      places.push(box);
    }
  };
  screen.root.layers.forEach(visit);
  if (keys.length === 0) return { at: () => [], inside: () => [] };
  const tree = new Flatbush(keys.length);
  for (const box of places) tree.add(box.x, box.y, right(box), bottom(box));
  tree.finish();
  const keyAt = (index: number) => keys[index] ?? [];
  const ascending = (one: number, other: number) => one - other;
  return {
    at: (x, y) => tree.search(x, y, x, y).sort(ascending).reverse().flatMap(keyAt),
    inside: (box) =>
      tree
        .search(box.x, box.y, right(box), bottom(box), (index) => {
          const place = places[index];
          return place !== undefined && contains(box, place);
        })
        .sort(ascending)
        .flatMap(keyAt),
  };
}
