import { isFieldRole, isInteractiveElement, roleEntry } from '../sort/vocabulary';
import type { BoxNode, PageNode, TextNode } from './node';

/** True for a box whose text is the value of an input. */
export function isField(node: PageNode): boolean {
  return node.kind === 'box' && isFieldRole(node.role);
}

/** The text of a field that becomes its value; a button or a text with a background stands beside it. */
export function valueOf({ children }: BoxNode): TextNode | null {
  return children.find(isValue) ?? null;
}

/** True for words of a field that can be its value. */
export function isValue(node: PageNode): node is TextNode {
  if (node.kind !== 'text' || node.lines.some(({ at }) => at !== null)) return false;
  return !isInteractiveElement(roleEntry(node.role).element) && node.look.fills === undefined;
}
