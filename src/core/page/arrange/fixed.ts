import type { Page } from '../frame';
import type { PageNode } from '../node';
import { isPurposeless } from './semantics';
import { layOutOverrides } from './flow/overrides';
import { withStates, type StateNode } from '../states';

/** Every node has coordinates on the screen. Groups stay only where they affect their content. */
export function fixed(page: Page, versions: readonly StateNode[] = []): Page {
  return layOutOverrides({ ...page, children: withStates(page.children, versions).flatMap(flatten) });
}

function flatten(node: PageNode): readonly PageNode[] {
  if (node.kind !== 'box') return [node];
  const children = node.children.flatMap(flatten);
  return isPurposeless(node) ? children : [{ ...node, children }];
}
