import type { Report } from '../../findings/finding';
import type { Layer, LayerId } from '../../mockup/layer';
import type { Mockup } from '../../mockup/mockup';

/** Reports the outermost layers of a sheet that are on none of its screens. */
export function reportBeside(sheet: Mockup, settled: Mockup, report: Report): void {
  if (settled.screens.every(({ found }) => found === 'whole')) return;
  const screens = new Set(settled.screens.map(({ id }) => id));
  for (const { root } of sheet.screens)
    for (const layer of root.layers) reportOutermost(layer, screens, report);
}

function reportOutermost(layer: Layer, screens: ReadonlySet<LayerId>, report: Report): void {
  if (screens.has(layer.id)) return;
  if (layer.kind === 'group' && holds(layer, screens))
    for (const child of layer.layers) reportOutermost(child, screens, report);
  else report('beside-screens', layer.id);
}

function holds(layer: Layer, screens: ReadonlySet<LayerId>): boolean {
  return (
    layer.kind === 'group' && layer.layers.some((child) => screens.has(child.id) || holds(child, screens))
  );
}
