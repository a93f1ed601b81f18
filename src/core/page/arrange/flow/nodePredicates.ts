import { memoizeByObject } from '../../../mockup/memoize';
import type { BoxNode, PageNode } from '../../node';

/** True for a text, and for a box that holds one. */
export function hasWords(node: PageNode): boolean {
  return node.kind === 'text' || (node.kind === 'box' && boxHasWords(node));
}

const boxHasWords = memoizeByObject(({ children }: BoxNode): boolean => children.some(hasWords));

/** True for a picture, or a box without content. */
export function isLeafWithoutText(node: PageNode): boolean {
  return node.kind === 'picture' || (node.kind === 'box' && node.children.length === 0);
}
