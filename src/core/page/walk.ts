import { flatMap } from '../mockup/flatMap';
import { memoizeByObject } from '../mockup/memoize';
import type { BoxNode, PageNode } from './node';
import type { Page } from './frame';

/** Every node below and including `nodes`, parents before children, in order. */
export function walkNodes(nodes: readonly PageNode[]): PageNode[] {
  const found: PageNode[] = [];
  appendNodes(nodes, found);
  return found;
}

/** The texts and pictures in a node, in order; a text or picture itself. */
export function leavesOf(node: PageNode): Exclude<PageNode, BoxNode>[] {
  return walkNodes([node]).filter((each) => each.kind !== 'box');
}

/** Every node of a page, parents before children, in order. */
export const pageNodes = memoizeByObject((page: Page): readonly PageNode[] => walkNodes(page.children));

/**
 * Collects values from the nodes of some trees, parents before children. Unchanged subtrees are answered from
 * the memo.
 */
export function collectFromNodes<Said>(
  own: (node: PageNode) => readonly Said[],
): (nodes: readonly PageNode[]) => readonly Said[] {
  const saidBy = memoizeByObject((node: PageNode): readonly Said[] =>
    node.kind === 'box' ? [...own(node), ...flatMap(node.children, saidBy)] : own(node),
  );
  return (nodes) => flatMap(nodes, saidBy);
}

function appendNodes(nodes: readonly PageNode[], into: PageNode[]): void {
  for (const node of nodes) {
    into.push(node);
    if (node.kind === 'box') appendNodes(node.children, into);
  }
}
