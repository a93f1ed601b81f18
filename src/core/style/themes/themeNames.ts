import { layerTitle } from '../../look/layerTitle';
import type { Layer } from '../../mockup/layer';
import type { Mockup } from '../../mockup/mockup';
import { layersOf } from '../../mockup/walk';
import { safeName } from '../../sort/outputNames';
import { namedTags } from '../../sort/names/namedTags';
import { mergeTags, type Tags } from '../../sort/tag';
import { isThemeName } from '../samples';

/** The themes that a mockup has samples of, in the order in which they are drawn. */
export function themeNames(mockup: Mockup, tags: Tags): readonly string[] {
  const all = mergeTags(namedTags(layersOf(mockup)), tags);
  const names = new Set<string>();
  const visit = (layer: Layer, isSample: boolean): void => {
    if (layer.kind !== 'group') return;
    const within = isSample || all.get(layer.id)?.outcome === 'sample';
    if (isSample && isThemeName(layer.sourceName)) names.add(safeName(layerTitle(layer).text));
    for (const child of layer.layers) visit(child, within);
  };
  for (const { root } of mockup.screens) visit(root, false);
  return [...names];
}
