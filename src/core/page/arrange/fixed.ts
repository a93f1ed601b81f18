import type { Page, PageNode } from '../node';
import { isPurposeless } from './meaning';
import { flowInside } from './flow/inside';
import { withStates, type StateNode } from '../states';

/** Everything stands on the screen itself; groups stay only where they do something to what is inside. */
export function fixed(page: Page, versions: readonly StateNode[] = []): Page {
  return flowInside({ ...page, children: withStates(page.children, versions).flatMap(flatten) });
}

function flatten(node: PageNode): readonly PageNode[] {
  if (node.kind !== 'box') return [node];
  const children = node.children.flatMap(flatten);
  return isPurposeless(node) ? children : [{ ...node, children }];
}
