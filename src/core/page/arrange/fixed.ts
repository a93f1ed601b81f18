import { isPlain } from '../../look/look';
import type { BoxNode, Page, PageNode } from '../node';
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

/** True for a container that neither shows nor means anything by itself. */
export function isPurposeless(node: BoxNode): boolean {
  const meant =
    node.role !== 'box' ||
    node.classes.length > 0 ||
    node.hidden ||
    node.href !== undefined ||
    node.slot !== undefined ||
    node.scroll !== undefined ||
    node.note !== undefined ||
    node.states !== undefined ||
    node.wish !== undefined;
  return isPlain(node.look) && !meant;
}
