import { areRows } from './rows';
import type { Component, Row, TemplateElement, TemplateNode } from './template';

/** What all uses of each component say, wherever they stand. */
export function rowsOfComponents(components: readonly Component[]): ReadonlyMap<Component, readonly Row[]> {
  const rows = new Map<Component, Row[]>();
  const note = (component: Component, more: readonly Row[]): void => {
    rows.set(component, [...(rows.get(component) ?? []), ...more]);
    for (const { name, type } of component.fields) {
      if (type.kind !== 'rows') continue;
      for (const { values } of more) {
        const value = values[name];
        if (value !== undefined && typeof value !== 'boolean' && areRows(value)) note(type.of, value);
      }
    }
  };
  for (const node of components.flatMap(({ root }) => nodesIn([root]))) {
    if (node.kind === 'list' && !('field' in node.rows)) note(node.component, node.rows);
    if (node.kind === 'use') note(node.component, [node.row]);
  }
  return rows;
}

/** All elements in a component's template, its root first. */
export function elementsOf({ root }: Component): readonly TemplateElement[] {
  return nodesIn([root]).filter((node) => node.kind === 'element');
}

function nodesIn(nodes: readonly TemplateNode[]): readonly TemplateNode[] {
  return nodes.flatMap((node) => {
    if (node.kind === 'slot') return [node, ...nodesIn(node.sample)];
    return node.kind === 'element' ? [node, ...nodesIn(node.children)] : [node];
  });
}
