import type { Box } from '../mockup/box';
import type { BoxNode, PageNode } from './node';

/**
 * A container without a layer of its own, as anonymous boxes in CSS (CSS 2.2, §9.2.1). `layer`: the layer
 * whose code shows it.
 */
export function anonymousBox(name: string, layer: string, { x, y, width, height }: Box): BoxNode {
  return {
    kind: 'box',
    layer,
    path: '',
    anonymous: true,
    name,
    named: false,
    role: 'box',
    classes: [],
    place: { kind: 'fixed', x, y, width, height, fitsContent: false, linear: null },
    look: {},
    hidden: false,
    children: [],
  };
}

export function isAnonymous(node: PageNode): boolean {
  return node.kind === 'box' && node.anonymous === true;
}
