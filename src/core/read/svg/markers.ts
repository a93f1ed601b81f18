import type { ShapeLayer } from '../../mockup/layer';
import { applyTo } from '../../mockup/matrix';
import type { Outline } from '../../mockup/outline';
import type { XmlNode } from '../xml/node';
import { localId, type Here } from './context';
import { keepDefinition } from './definitions';
import { parseLength } from './lengths';
import { fitViewBox, parseViewBox } from './viewports';

/** How many times as far a marker may reach whose drawing is not cut off where its viewport ends. */
const UNCUT = 2;

/** The markers of a shape, and how far they reach from the points on which they stand. */
export function readMarkers(outline: Outline, here: Here): Pick<ShapeLayer, 'markers' | 'markerReach'> {
  const markers: Partial<Record<'start' | 'mid' | 'end', string>> = {};
  let markerReach = 0;
  if (outline.kind !== 'path' && outline.kind !== 'line') return { markers, markerReach };
  for (const place of ['start', 'mid', 'end'] as const) {
    const id = localId(here.computed.style[`marker-${place}`]);
    const node = id === null ? undefined : here.context.byId.get(id);
    const kept = id === null ? null : keepDefinition(id, here.context);
    if (kept === null || !node) continue;
    markers[place] = kept;
    markerReach = Math.max(markerReach, reachOf(node, here));
  }
  return { markers, markerReach };
}

/** From its reference point to the farthest corner of its viewport (SVG 2, §13.7.1), px in the shape's own coordinates. */
function reachOf({ attributes }: XmlNode, here: Here): number {
  const length = (text: string) => parseLength(text, { fontSize: here.computed.fontSize, percentOf: 0 }) ?? 0;
  const [width, height] = [length(attributes.markerWidth ?? '3'), length(attributes.markerHeight ?? '3')];
  const viewBox = parseViewBox(attributes.viewBox);
  const { matrix } = fitViewBox(viewBox, { x: 0, y: 0, width, height }, attributes.preserveAspectRatio);
  const { x, y } = applyTo(matrix, { x: length(attributes.refX ?? '0'), y: length(attributes.refY ?? '0') });
  const farthest = Math.hypot(
    Math.max(Math.abs(x), Math.abs(width - x)),
    Math.max(Math.abs(y), Math.abs(height - y)),
  );
  const uncut = /visible|auto/.test(`${attributes.overflow ?? ''}${attributes.style ?? ''}`);
  const unit = attributes.markerUnits === 'userSpaceOnUse' ? 1 : length(here.computed.style['stroke-width']);
  return farthest * unit * (uncut ? UNCUT : 1);
}
