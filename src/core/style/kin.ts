import type { Page } from '../page/frame';
import type { PageNode } from '../page/node';
import { shapeOf } from '../page/nodeShape';

/**
 * The looks that are versions of one thing: siblings that are built alike wear them, or parts at one place of such
 * siblings. Each look leads to the first of its kin on the page; looks without kin are left out.
 * @param markOf stands for the look of a node; null for none
 */
export function kinOf(
  pages: readonly Page[],
  markOf: (node: PageNode) => string | null,
): ReadonlyMap<string, string> {
  const leads = new Map<string, string>();
  const leadOf = (mark: string): string => {
    let lead = mark;
    for (let next = leads.get(lead); next !== undefined && next !== lead; next = leads.get(lead)) lead = next;
    return lead;
  };
  const unite = (one: PageNode, other: PageNode): void => {
    const [first, second] = [markOf(one), markOf(other)];
    if (first !== null && second !== null && first !== second) {
      const [lead, led] = [leadOf(first), leadOf(second)];
      leads.set(lead, lead);
      if (lead !== led) leads.set(led, lead);
    }
    if (one.kind !== 'box' || other.kind !== 'box') return;
    one.children.forEach((child, at) => unite(child, other.children[at]!));
  };
  const visit = (nodes: readonly PageNode[]): void => {
    const firsts = new Map<string, PageNode>();
    for (const node of nodes) {
      if (node.kind !== 'box' || node.children.length === 0) continue;
      const shape = shapeOf(node);
      const first = firsts.get(shape);
      if (first) unite(first, node);
      else firsts.set(shape, node);
      visit(node.children);
    }
  };
  for (const { children } of pages) visit(children);
  return new Map([...leads.keys()].map((mark) => [mark, leadOf(mark)]));
}
