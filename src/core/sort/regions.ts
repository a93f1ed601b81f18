import { childIdentity, pathName } from '../mockup/identity';
import type { BitmapLayer, Layer, LayerId } from '../mockup/layer';
import { bareLayer } from '../mockup/layer';
import { intersection } from '../mockup/box';
import type { Mockup } from '../mockup/mockup';
import type { Region } from './facets/regions';
import type { Tags } from './tag';

/** The mockup with marked regions of bitmaps as layers over the bitmap. */
export function withRegions(mockup: Mockup, tags: Tags): Mockup {
  if (![...tags.values()].some((tag) => tag.regions)) return mockup;
  const screens = mockup.screens.map((screen) => ({
    ...screen,
    root: { ...screen.root, layers: addRegions(screen.root.layers, tags) },
  }));
  return { ...mockup, screens };
}

function addRegions(layers: readonly Layer[], tags: Tags): Layer[] {
  return layers.flatMap((layer): Layer[] => {
    if (layer.kind === 'group') return [{ ...layer, layers: addRegions(layer.layers, tags) }];
    if (layer.kind !== 'bitmap') return [layer];
    return [
      layer,
      ...(tags.get(layer.id)?.regions ?? []).flatMap((region) => regionLayer(layer, region) ?? []),
    ];
  });
}

/** The id of the layer that a region of a bitmap becomes. */
export function regionId(bitmap: LayerId, { name }: Pick<Region, 'name'>): LayerId {
  return childIdentity({ id: bitmap, path: '' }, pathName(name)).id;
}

function regionLayer(bitmap: BitmapLayer, { name, ...box }: Region): BitmapLayer | null {
  const frame = intersection(bitmap.frame, box);
  if (!frame || frame.width <= 0 || frame.height <= 0) return null;
  return {
    ...bitmap,
    ...bareLayer(childIdentity(bitmap, pathName(name)), name),
    transform: bitmap.transform,
    frame,
  };
}
