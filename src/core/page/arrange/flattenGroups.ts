import type { Page } from '../frame';
import type { PageNode } from '../node';
import { isPurposeless } from '../semantics';
import { withStates, type StateNode } from '../states';

/** The page without groups that have neither a look nor a meaning. Places stay px of the screen. */
export function flattenGroups(page: Page, versions: readonly StateNode[]): Page {
  return { ...page, children: withStates(page.children, versions).flatMap(flatten) };
}

function flatten(node: PageNode): readonly PageNode[] {
  if (node.kind !== 'box') return [node];
  const children = node.children.flatMap(flatten);
  return isPurposeless(node) ? children : [{ ...node, children }];
}
