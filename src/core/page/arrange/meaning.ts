import { isPlain } from '../../look/look';
import type { BoxNode, PageNode } from '../node';

/** True for a node that stands for something by itself, so that it cannot be taken into another or left out. */
export function isMeant(node: PageNode): boolean {
  return (
    node.role !== 'box' ||
    node.classes.length > 0 ||
    node.hidden ||
    node.href !== undefined ||
    node.label !== undefined ||
    node.slot !== undefined ||
    node.scroll !== undefined ||
    node.note !== undefined ||
    node.states !== undefined ||
    node.wish !== undefined
  );
}

/** The same, besides what a node is to the page and where it leads. */
export function isMeantOtherwise({ href: _, ...node }: PageNode): boolean {
  return isMeant({ ...node, role: 'box' });
}

/** True for a container that neither shows nor means anything by itself. */
export function isPurposeless(node: BoxNode): boolean {
  return isPlain(node.look) && !isMeant(node);
}
