import { rememberOf } from '../../../mockup/remember';
import type { BoxNode, PageNode } from '../../node';

/** Px by which boxes may overlap and still count as beside each other. */
export const TOUCH = 1;

/** True for words, and for what holds some. */
export function hasWords(node: PageNode): boolean {
  return node.kind === 'text' || (node.kind === 'box' && holdsWords(node));
}

const holdsWords = rememberOf(({ children }: BoxNode): boolean => children.some(hasWords));

/** A picture, or a box that holds nothing. */
export function isBare(node: PageNode): boolean {
  return node.kind === 'picture' || (node.kind === 'box' && node.children.length === 0);
}
