import { boxForm } from '../look/boxForm';
import type { Measures } from '../mockup/bounds';
import { contains, transformBox, type Box } from '../mockup/box';
import type { Layer, LayerKey, ShapeLayer } from '../mockup/layer';
import { isUpright } from '../mockup/matrix';
import { hasRadii } from '../mockup/outline';
import type { Screen } from '../mockup/mockup';
import { walk } from '../mockup/walk';

/** Boxes of one group that a layer is held against, the nearest above it. */
const NEAREST = 40;

/**
 * Layers of which nothing is seen, because an opaque box of their group lies over them; each with that box.
 * @param isOff whether a layer was put aside, so that it covers nothing
 */
export function findCovered(
  screen: Screen,
  measures: Measures,
  isOff: (key: LayerKey) => boolean,
): ReadonlyMap<LayerKey, Layer> {
  const covered = new Map<LayerKey, Layer>();
  for (const group of walk(screen.root)) {
    if (group.kind !== 'group' || group.layers.length < 2) continue;
    const above: { readonly layer: Layer; readonly box: Box }[] = [];
    for (const layer of group.layers.toReversed()) {
      const painted = measures.get(layer.key)?.painted;
      const cover = painted && above.slice(-NEAREST).find(({ box }) => contains(box, painted));
      if (cover && layer.visible) covered.set(layer.key, cover.layer);
      else if (layer.kind === 'shape' && !isOff(layer.key)) {
        const box = opaqueBox(layer, measures);
        if (box) above.push({ layer, box });
      }
    }
  }
  return covered;
}

/** What the shape hides wholly, px of the screen; null for what lets anything through. */
function opaqueBox(layer: ShapeLayer, measures: Measures): Box | null {
  const matrix = measures.get(layer.key)?.matrix;
  const { fill, opacity, blend, effects, filter, clip, mask } = layer;
  const plain = opacity === 1 && blend === 'normal' && effects.length === 0 && !filter && !clip && !mask;
  if (!matrix || !plain || !layer.visible || fill?.kind !== 'solid' || fill.colour.alpha < 1) return null;
  const form = boxForm(layer);
  return form?.kind === 'box' && !hasRadii(form.radii) && isUpright(matrix)
    ? transformBox(matrix, form.box)
    : null;
}
