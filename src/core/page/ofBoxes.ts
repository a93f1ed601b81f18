import { rememberOf } from '../mockup/remember';
import type { BoxNode, PageNode } from './node';

/** A change of boxes that keeps its answers; texts and pictures stay as they are. */
export function ofBoxes(change: (box: BoxNode) => PageNode): (node: PageNode) => PageNode {
  const changed = rememberOf(change);
  return (node) => (node.kind === 'box' ? changed(node) : node);
}

/** The box with these children: the very same where they are. */
export function withChildren(node: BoxNode, children: readonly PageNode[]): BoxNode {
  return children.every((child, at) => child === node.children[at]) ? node : { ...node, children };
}
