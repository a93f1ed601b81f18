import type { Layer, LayerId } from '../../../mockup/layer';
import { outlineBox, type Outline } from '../../../mockup/outline';
import type { XmlNode } from '../../xml/node';
import type { Here } from '../context';
import { readMarkers } from '../markers';
import { readOutline } from '../outlines';
import { clearStroke, readFill, readStroke } from '../paints';
import { base } from './base';

export function readShape(node: XmlNode, here: Here, id: LayerId): Layer | null {
  const outline = readOutline(node, here);
  if (!outline) return null;
  const box = () => outlineBox(outline);
  const marking = readMarkers(outline, here);
  const marked = Object.keys(marking.markers).length > 0;
  return {
    kind: 'shape',
    ...base(node, here, id, box),
    outline,
    fill: enclosesNothing(outline) ? null : readFill(here, box),
    // Markers are drawn in widths of the stroke, also where it is not seen.
    stroke: readStroke(here, box) ?? (marked ? clearStroke(here) : null),
    strokeFirst: isStrokeFirst(here),
    crisp: /^(crispedges|optimizespeed)$/i.test(here.computed.style['shape-rendering']),
    ...marking,
  };
}

/** A line, and a path of single straight segments, has no inside to fill. */
function enclosesNothing(outline: Outline): boolean {
  if (outline.kind !== 'path') return outline.kind === 'line';
  const subpaths = outline.d.split('M').slice(1);
  return subpaths.every((subpath) => /^[^A-Z]*(?:[LHV][^A-Z]*)?Z?$/.test(subpath));
}

export function isStrokeFirst({ computed }: Here): boolean {
  return /^\s*stroke/.test(computed.style['paint-order']);
}
