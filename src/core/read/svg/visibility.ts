import type { Layer, LayerId } from '../../mockup/layer';
import { walk } from '../../mockup/walk';
import type { Computed } from './computed';
import type { Here } from './context';

/**
 * A layer that `visibility` or an opacity of 0 hides is hidden as one that is not displayed: its art is kept. A
 * group is hidden as a whole where nothing inside says that it is seen (CSS Display 3, §4.1: `visibility` is
 * inherited, and can be set back).
 */
export function settleVisibility(layer: Layer, { style }: Computed, around: Here): Layer {
  const { hiddenLayers } = around.context;
  // A text knows by its own letters.
  const isHidden = style.visibility !== 'visible' && layer.kind !== 'text';
  const settled = isHidden ? hide(layer, around, hiddenLayers) : layer;
  return settled.opacity === 0 ? { ...settled, opacity: 1, visible: false } : settled;
}

function hide(layer: Layer, around: Here, hiddenLayers: Set<LayerId>): Layer {
  if (layer.kind !== 'group') {
    hiddenLayers.add(layer.id);
    return { ...layer, visible: false };
  }
  const isOutermost = around.computed.style.visibility === 'visible';
  const leaves = walk(layer).filter(({ kind }) => kind !== 'group');
  if (!isOutermost || leaves.some(({ visible }) => visible)) return layer;
  return { ...shown(layer, hiddenLayers), visible: false };
}

/** The layer with the parts shown that only the group around them hides. */
function shown(layer: Layer, hiddenLayers: ReadonlySet<LayerId>): Layer {
  if (layer.kind === 'group')
    return { ...layer, layers: layer.layers.map((child) => shown(child, hiddenLayers)) };
  return hiddenLayers.has(layer.id) ? { ...layer, visible: true } : layer;
}
