import type { Report } from '../../findings/finding';
import type { Layer, LayerKey } from '../../mockup/layer';
import type { Mockup } from '../../mockup/mockup';

/** Says which layers of a sheet are on none of its screens: each outermost one. */
export function reportBeside(sheet: Mockup, settled: Mockup, report: Report): void {
  if (settled.screens.every(({ found }) => found === 'whole')) return;
  const screens = new Set(settled.screens.map(({ key }) => key));
  for (const { root } of sheet.screens) for (const layer of root.layers) sayBeside(layer, screens, report);
}

function sayBeside(layer: Layer, screens: ReadonlySet<LayerKey>, report: Report): void {
  if (screens.has(layer.key)) return;
  if (layer.kind === 'group' && holds(layer, screens))
    for (const child of layer.layers) sayBeside(child, screens, report);
  else report('beside-screens', layer.key);
}

function holds(layer: Layer, screens: ReadonlySet<LayerKey>): boolean {
  return (
    layer.kind === 'group' && layer.layers.some((child) => screens.has(child.key) || holds(child, screens))
  );
}
