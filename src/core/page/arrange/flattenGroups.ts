import type { Page } from '../frame';
import type { PageNode } from '../node';
import { isPurposeless } from '../semantics';
import type { StateNode } from '../states/stateNode';
import { withStates } from '../states/withStates';

/** The page without groups that have neither a look nor a meaning. Places stay px of the screen. */
export function flattenGroups(page: Page, versions: readonly StateNode[]): Page {
  const { nodes, lost } = withStates(page.children, versions);
  return { ...page, children: nodes.flatMap(flatten), lostStates: lost };
}

function flatten(node: PageNode): readonly PageNode[] {
  if (node.kind !== 'box') return [node];
  const children = node.children.flatMap(flatten);
  return isPurposeless(node) ? children : [{ ...node, children }];
}
