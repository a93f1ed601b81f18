import { memoizeByObject } from '../mockup/memoize';
import type { BoxNode, PageNode } from './node';

/** Memoizes a change of boxes; texts and pictures stay as they are. */
export function mapBoxes(change: (box: BoxNode) => PageNode): (node: PageNode) => PageNode {
  const changed = memoizeByObject(change);
  return (node) => (node.kind === 'box' ? changed(node) : node);
}

/** The box with these children, or the same box when they are the same. */
export function withChildren(node: BoxNode, children: readonly PageNode[]): BoxNode {
  return children.every((child, at) => child === node.children[at]) ? node : { ...node, children };
}
