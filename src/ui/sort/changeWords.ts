import type { LayerId } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';
import { treeOf } from '../../core/mockup/tree';
import type { Change } from '../../core/sort/change';
import { facetLabel } from '../shared/facets';
import { layerLabel } from '../../core/look/layerLabel';

/** What changes were about, such as "Role of 3 layers". */
export function changeWords(mockup: Mockup, changes: readonly Pick<Change, 'layer' | 'facet'>[]): string {
  const facets = [...new Set(changes.map(({ facet }) => facetLabel(facet)))];
  const layers = [...new Set(changes.map(({ layer }) => layer))];
  const [one] = layers;
  const what = facets.length > 2 ? `${facets.length} tags` : facets.join(' and ');
  return `${what} of ${layers.length === 1 && one !== undefined ? labelOf(mockup, one) : `${layers.length} layers`}`;
}

function labelOf(mockup: Mockup, id: LayerId): string {
  const layer = treeOf(mockup).layer(id);
  return layer ? `“${layerLabel(layer).text}”` : 'a layer';
}
