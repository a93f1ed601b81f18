import type { Conversion } from './convert';
import type { EmittedScreen } from './emit/emit';
import type { SourceMap } from './emit/sourceMap';
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
export function buildRecord({ mockup, measures, decisions, emission }: Conversion): BuildRecord {
  const roots = new Map(mockup.screens.map(({ id, root }) => [id, root]));
  return {
    screens: emission.screens.map((screen) => ({
      ...screen,
      layers: recordLayers(roots.get(screen.id)?.layers ?? [], 0, false, (id) => {
        return measures.get(screen.id)?.get(id)?.painted ?? null;
      }),
    })),
    decisions: Object.fromEntries(decisions),
    sourceMap: emission.sourceMap,
  };
}

function recordLayers(
  layers: readonly Layer[],
  depth: number,
  isHidden: boolean,
  boxOf: (id: LayerId) => Box | null,
): readonly RecordedLayer[] {
  return layers.flatMap((layer) => {
    const { id, path, kind } = layer;
    const hidden = isHidden || !layer.visible;
    const own = { id, path, title: layerLabel(layer).text, kind, depth, box: boxOf(id), isHidden: hidden };
    return kind === 'group' ? [own, ...recordLayers(layer.layers, depth + 1, hidden, boxOf)] : [own];
  });
}
