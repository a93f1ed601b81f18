import { boxForm } from '../../look/boxForm';
import { formName } from '../../look/formName';
import type { Report } from '../../findings/finding';
import type { Measures } from '../../mockup/bounds';
import { bottom, right, transformBox, type Box } from '../../mockup/box';
import type { Layer, LayerId } from '../../mockup/layer';
import { isUpright, meanScale } from '../../mockup/matrix';
import type { Mockup, Screen } from '../../mockup/mockup';
import type { Decisions } from '../decision';

/** Reports the outermost layers that extend past the screen's edge. They keep their true sizes. */
export function reportPastEdge(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  decisions: Decisions,
  report: Report,
): void {
  for (const screen of mockup.screens) {
    const measured = measures.get(screen.id);
    // Samples are often drawn beside the screen.
    const onPage = screen.root.layers.filter(({ id }) => decisions.get(id)?.outcome !== 'sample');
    if (measured) for (const layer of onPage) pastEdge(layer, screen, measured, 2, report);
  }
}

/** Descends `depth` levels of groups: their content extends past the edge with them. */
function pastEdge(layer: Layer, screen: Screen, measured: Measures, depth: number, report: Report): void {
  const painted = measured.get(layer.id)?.painted;
  if (!painted) return;
  if (layer.kind === 'group' && depth > 1) {
    for (const child of layer.layers) pastEdge(child, screen, measured, depth - 1, report);
    return;
  }
  const by = Math.max(-painted.x, -painted.y, right(painted) - screen.width, bottom(painted) - screen.height);
  if (by >= 1) report('past-edge', layer.id, { by: Math.round(by) });
}

/** Px by which an edge may be off a whole px and still look sharp. */
const SHARP = 0.02;

/**
 * Reports straight edges of boxes, rules and bitmaps between two px, which look fuzzy at 1x. Texts are left
 * out.
 */
export function reportHalfPixels(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  report: Report,
): void {
  for (const screen of mockup.screens) {
    const measured = measures.get(screen.id);
    if (measured) for (const layer of screen.root.layers) halfPixels(layer, measured, report);
  }
}

function halfPixels(layer: Layer, measured: Measures, report: Report): void {
  if (!layer.visible) return;
  if (layer.kind === 'group') {
    for (const child of layer.layers) halfPixels(child, measured, report);
    return;
  }
  const edges = sharpEdges(layer, layer.id, measured);
  if (!edges) return;
  const off = [edges.x, edges.y, right(edges), bottom(edges)]
    .map((edge) => Math.abs(edge - Math.round(edge)))
    .reduce((most, distance) => Math.max(most, distance), 0);
  if (off > SHARP) report('half-pixel', layer.id, { by: Math.round(off * 100) / 100 });
}

/**
 * The box whose edges should be sharp, px of the screen; null for round, transformed and free-form layers.
 */
function sharpEdges(layer: Layer, key: LayerId, measured: Measures): Box | null {
  const matrix = measured.get(key)?.matrix;
  if (!matrix || !isUpright(matrix)) return null;
  if (layer.kind === 'bitmap') return transformBox(matrix, layer.frame);
  if (layer.kind !== 'shape' || (!layer.fill && !layer.stroke)) return null;
  const form = boxForm(layer);
  if (!form || form.kind === 'ellipse' || formName(layer) === 'pill') return null;
  const box = transformBox(matrix, form.box);
  if (form.kind !== 'box' || !layer.stroke) return box;
  const half = (layer.stroke.width * (layer.stroke.fixedWidth ? 1 : meanScale(matrix))) / 2;
  return { x: box.x - half, y: box.y - half, width: box.width + 2 * half, height: box.height + 2 * half };
}
