import type { Look } from '../../../../look/look';
import type { PageNode } from '../../../node';

/** True for a box whose bottom edge is seen. */
export function showsEnd(node: PageNode): boolean {
  if (node.kind !== 'box') return false;
  return paintsEnd(node.look) || node.children.some(showsEnd);
}

/** True for a look that shows where its box ends. */
export function paintsEnd({ fills, border, sides, shadows, clip }: Look): boolean {
  return [fills, border, sides?.bottom, shadows, clip].some((paint) => paint !== undefined);
}
