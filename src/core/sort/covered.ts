import { boxForm } from '../look/boxForm';
import type { Measure, Measures } from '../mockup/bounds';
import { contains, transformBox, type Box } from '../mockup/box';
import type { Layer, LayerId, ShapeLayer } from '../mockup/layer';
import { isUpright } from '../mockup/matrix';
import { hasRadii } from '../mockup/outline';
import type { Screen } from '../mockup/mockup';
import { memoizeLastBy } from '../mockup/memoize';
import { walk } from '../mockup/walk';

/** The number of boxes above a layer, in its group, that are compared with it. */
const MOST_COMPARED = 40;

/**
 * Layers hidden by an opaque box of their own group, each with that box.
 * @param isOff whether a layer was put aside, so that it covers nothing
 */
export function findCovered(
  screen: Screen,
  measures: Measures,
  isOff: (key: LayerId) => boolean,
): ReadonlyMap<LayerId, Layer> {
  const covered = new Map<LayerId, Layer>();
  for (const pile of stackedGroups(screen, measures)) {
    const above: { readonly layer: Layer; readonly box: Box }[] = [];
    for (const { layer, painted, box } of pile) {
      const cover = painted && above.slice(-MOST_COMPARED).find((each) => contains(each.box, painted));
      if (cover && layer.visible) covered.set(layer.id, cover.layer);
      else if (box && !isOff(layer.id)) above.push({ layer, box });
    }
  }
  return covered;
}

interface Coverage {
  readonly layer: Layer;
  readonly painted: Box | null;
  /** The area that the layer hides completely; null when it is translucent. */
  readonly box: Box | null;
}

/** The layers of each group with an opaque box over others, the topmost first. */
function stackedGroups(screen: Screen, measures: Measures): readonly (readonly Coverage[])[] {
  return lastStacked(screen, measures, () =>
    walk(screen.root).flatMap((group) => {
      const pile =
        group.kind === 'group' ? group.layers.toReversed().map((layer) => coverageOf(layer, measures)) : [];
      return pile.slice(0, -1).some(({ box }) => box) ? [pile] : [];
    }),
  );
}

/** No edit changes these. */
const lastStacked = memoizeLastBy<Screen, Measures, readonly (readonly Coverage[])[]>(
  (measures, last) => measures === last,
);

function coverageOf(layer: Layer, measures: Measures): Coverage {
  const measure = measures.get(layer.id);
  const box = measure && layer.kind === 'shape' ? opaqueBox(layer, measure) : null;
  return { layer, painted: measure?.painted ?? null, box };
}

/** The area that the shape hides completely, px of the screen; null when it is translucent. */
function opaqueBox(layer: ShapeLayer, { matrix }: Measure): Box | null {
  const { fill, opacity, blend, effects, filter, clip, mask } = layer;
  const plain = opacity === 1 && blend === 'normal' && effects.length === 0 && !filter && !clip && !mask;
  if (!plain || !layer.visible || fill?.kind !== 'solid' || fill.colour.alpha < 1) return null;
  const form = boxForm(layer);
  return form?.kind === 'box' && !hasRadii(form.radii) && isUpright(matrix)
    ? transformBox(matrix, form.box)
    : null;
}
