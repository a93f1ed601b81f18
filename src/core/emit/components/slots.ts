import type { TemplateNode } from './template';

/** The names of the slots in a template that hold more than words. */
export function slotsIn(nodes: readonly TemplateNode[]): readonly string[] {
  return nodes.flatMap((node) => {
    if (node.kind === 'slot') return [node.name];
    return node.kind === 'element' ? slotsIn(node.children) : [];
  });
}
