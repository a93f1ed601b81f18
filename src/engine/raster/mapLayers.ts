import type { GroupLayer, Layer } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';

/** The mockup with `change` applied to every layer, children first; the screens' roots are included. */
export function mapLayers(mockup: Mockup, change: (layer: Layer) => Layer): Mockup {
  const map = (layer: Layer): Layer =>
    change(layer.kind === 'group' ? { ...layer, layers: layer.layers.map(map) } : layer);
  const screens = mockup.screens.map((screen) => {
    const root = map(screen.root);
    return { ...screen, root: root.kind === 'group' ? root : (screen.root satisfies GroupLayer) };
  });
  return { ...mockup, screens };
}
