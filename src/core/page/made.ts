import type { Box } from '../mockup/box';
import type { BoxNode, PageNode } from './node';

/** A container that no layer stands for. `layer`: the one whose code it belongs to. */
export function madeBox(name: string, layer: string, { x, y, width, height }: Box): BoxNode {
  return {
    kind: 'box',
    layer,
    made: true,
    name,
    named: false,
    role: 'box',
    classes: [],
    place: { kind: 'fixed', x, y, width, height, hugs: false, turn: null },
    look: {},
    hidden: false,
    children: [],
  };
}

export function isMade(node: PageNode): boolean {
  return node.kind === 'box' && node.made === true;
}
