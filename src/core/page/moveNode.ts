import type { PageNode } from './node';

/** A node and all inside it, moved. Places are px of the screen. */
export function moveNode(node: PageNode, dx: number, dy: number): PageNode {
  if (dx === 0 && dy === 0) return node;
  const place = { ...node.place, x: node.place.x + dx, y: node.place.y + dy };
  return node.kind === 'box'
    ? { ...node, place, children: node.children.map((child) => moveNode(child, dx, dy)) }
    : { ...node, place };
}
