import { isPlain } from '../look/look';
import type { BoxNode, PageNode } from './node';

/** True for a node with a meaning of its own: it can neither be merged into another node nor be dropped. */
export function hasSemantics(node: PageNode): boolean {
  return (
    node.role !== 'box' ||
    node.classes.length > 0 ||
    node.hidden ||
    node.href !== undefined ||
    node.label !== undefined ||
    node.labelFor !== undefined ||
    node.labels !== undefined ||
    node.inputType !== undefined ||
    node.slot !== undefined ||
    node.scroll !== undefined ||
    node.note !== undefined ||
    node.furniture !== undefined ||
    node.states !== undefined ||
    node.layoutOverride !== undefined
  );
}

/** The same, apart from its role and its link. */
export function hasSemanticsBesidesLink({ href: _, ...node }: PageNode): boolean {
  return hasSemantics({ ...node, role: 'box' });
}

/** True for a container without a look and without semantics. */
export function isPurposeless(node: BoxNode): boolean {
  return isPlain(node.look) && !hasSemantics(node);
}
