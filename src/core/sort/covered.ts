import { boxForm } from '../look/boxForm';
import type { Measure, Measures } from '../mockup/bounds';
import { contains, transformBox, type Box } from '../mockup/box';
import type { Layer, LayerKey, ShapeLayer } from '../mockup/layer';
import { isUpright } from '../mockup/matrix';
import { hasRadii } from '../mockup/outline';
import type { Screen } from '../mockup/mockup';
import { lastMadeFrom } from '../mockup/remember';
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
  for (const pile of pilesOf(screen, measures)) {
    const above: { readonly layer: Layer; readonly box: Box }[] = [];
    for (const { layer, painted, box } of pile) {
      const cover = painted && above.slice(-NEAREST).find((each) => contains(each.box, painted));
      if (cover && layer.visible) covered.set(layer.key, cover.layer);
      else if (box && !isOff(layer.key)) above.push({ layer, box });
    }
  }
  return covered;
}

interface Piled {
  readonly layer: Layer;
  readonly painted: Box | null;
  /** What it hides wholly; null for what lets anything through. */
  readonly box: Box | null;
}

/** The layers of each group with an opaque box over others, the topmost first. */
function pilesOf(screen: Screen, measures: Measures): readonly (readonly Piled[])[] {
  return lastPiles(screen, measures, () =>
    walk(screen.root).flatMap((group) => {
      const pile =
        group.kind === 'group' ? group.layers.toReversed().map((layer) => piled(layer, measures)) : [];
      return pile.slice(0, -1).some(({ box }) => box) ? [pile] : [];
    }),
  );
}

/** No edit changes them. */
const lastPiles = lastMadeFrom<Screen, Measures, readonly (readonly Piled[])[]>(
  (measures, last) => measures === last,
);

function piled(layer: Layer, measures: Measures): Piled {
  const measure = measures.get(layer.key);
  const box = measure && layer.kind === 'shape' ? opaqueBox(layer, measure) : null;
  return { layer, painted: measure?.painted ?? null, box };
}

/** What the shape hides wholly, px of the screen; null for what lets anything through. */
function opaqueBox(layer: ShapeLayer, { matrix }: Measure): Box | null {
  const { fill, opacity, blend, effects, filter, clip, mask } = layer;
  const plain = opacity === 1 && blend === 'normal' && effects.length === 0 && !filter && !clip && !mask;
  if (!plain || !layer.visible || fill?.kind !== 'solid' || fill.colour.alpha < 1) return null;
  const form = boxForm(layer);
  return form?.kind === 'box' && !hasRadii(form.radii) && isUpright(matrix)
    ? transformBox(matrix, form.box)
    : null;
}
