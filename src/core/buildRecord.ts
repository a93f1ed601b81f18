import type { Conversion } from './convert';
import type { EmittedScreen } from './emit/emit';
import type { SourceMap } from './emit/sourceMap';
import { drawnPlaces, type DrawnPlace } from './drawnPlaces';
import { layerLabel } from './look/layerLabel';
import type { Box } from './mockup/box';
import type { Layer, LayerId } from './mockup/layer';
import type { Decision } from './sort/decision';

/** A layer as it was when its build ran. */
export interface RecordedLayer {
  readonly id: LayerId;
  readonly path: string;
  readonly title: string;
  readonly kind: Layer['kind'];
  /** 0 for the layers directly on the screen. */
  readonly depth: number;
  /** What it paints, px of its screen; null for nothing. */
  readonly box: Box | null;
  /** True for a layer that the mockup does not show, by itself or by a group around it. */
  readonly isHidden: boolean;
  /** Where its element must stand; null for one without an element or without a look, absent in earlier builds. */
  readonly drawn?: DrawnPlace | null;
}

export interface RecordedScreen extends EmittedScreen {
  /** Parents before children, in drawing order. */
  readonly layers: readonly RecordedLayer[];
}

/** Everything that is shown of a build later, so that nothing has to be computed again. Plain data. */
export interface BuildRecord {
  readonly screens: readonly RecordedScreen[];
  readonly decisions: Readonly<Record<LayerId, Decision>>;
  readonly sourceMap: SourceMap;
}

/** The record of a conversion. */
export function buildRecord(conversion: Conversion): BuildRecord {
  const { mockup, measures, decisions, emission } = conversion;
  const roots = new Map(mockup.screens.map(({ id, root }) => [id, root]));
  return {
    screens: emission.screens.map((screen) => {
      const places = drawnPlaces(
        conversion,
        mockup.screens.findIndex(({ id }) => id === screen.id),
      );
      return {
        ...screen,
        layers: recordLayers(roots.get(screen.id)?.layers ?? [], 0, false, (id) => ({
          box: measures.get(screen.id)?.get(id)?.painted ?? null,
          drawn: places.get(id) ?? null,
        })),
      };
    }),
    decisions: Object.fromEntries(decisions),
    sourceMap: emission.sourceMap,
  };
}

function recordLayers(
  layers: readonly Layer[],
  depth: number,
  isHidden: boolean,
  placesOf: (id: LayerId) => Pick<RecordedLayer, 'box' | 'drawn'>,
): readonly RecordedLayer[] {
  return layers.flatMap((layer) => {
    const { id, path, kind } = layer;
    const hidden = isHidden || !layer.visible;
    const own = { id, path, title: layerLabel(layer).text, kind, depth, isHidden: hidden, ...placesOf(id) };
    return kind === 'group' ? [own, ...recordLayers(layer.layers, depth + 1, hidden, placesOf)] : [own];
  });
}
