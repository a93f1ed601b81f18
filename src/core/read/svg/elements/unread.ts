import type { XmlNode } from '../../xml/node';
import type { Here } from '../context';

/** Elements that define or describe, and draw nothing by themselves. */
export const SILENT = new Set([
  'defs',
  'style',
  'title',
  'desc',
  'metadata',
  'clipPath',
  'mask',
  'linearGradient',
  'radialGradient',
  'pattern',
  'filter',
  'marker',
  'symbol',
  'stop',
  'view',
  'font',
  'font-face',
  'cursor',
  'color-profile',
]);

const ANIMATION = new Set([
  'animate',
  'animateTransform',
  'animateMotion',
  'animateColor',
  'set',
  'discard',
  'mpath',
]);

export function reportUnread(node: XmlNode, { context, parent }: Here): void {
  if (SILENT.has(node.name)) return;
  if (node.name === 'script') context.report('script-removed', null);
  else if (node.name === 'foreignObject') context.report('foreign-content', parent, { element: node.name });
  else if (ANIMATION.has(node.name)) context.report('animation-ignored', parent, { element: node.name });
  // Elements of other namespaces are a drawing program's notes to itself.
  else if (!node.name.includes(':')) context.report('element-unknown', parent, { element: node.name });
}
