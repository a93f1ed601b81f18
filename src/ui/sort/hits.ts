import type { Box } from '../../core/mockup/box';
import type { Layer, LayerKey } from '../../core/mockup/layer';
import type { Screen } from '../../core/mockup/mockup';
import type { Decision } from '../../core/sort/decision';

/** The layers under a point of the screen, the topmost first; a picture counts as a whole, groups only by their parts. */
export function layersAt(
  screen: Screen,
  boxes: ReadonlyMap<LayerKey, Box>,
  decisions: ReadonlyMap<LayerKey, Decision>,
  x: number,
  y: number,
): readonly LayerKey[] {
  const hits: LayerKey[] = [];
  const visit = (layer: Layer) => {
    const box = boxes.get(layer.key);
    if (!box || x < box.x || y < box.y || x > box.x + box.width || y > box.y + box.height) return;
    const decision = decisions.get(layer.key);
    if (decision?.outcome === 'aside') return;
    if (layer.kind === 'group' && decision?.outcome !== 'picture') layer.layers.forEach(visit);
    else hits.push(layer.key);
  };
  screen.root.layers.forEach(visit);
  return hits.reverse();
}
