import { memoizeByObject } from '../../mockup/memoize';
import type { BoxNode, PageNode, TextSpan } from '../node';

/** The number of letters in a node and its content. */
export function lettersIn(node: PageNode): number {
  if (node.kind === 'text') return node.lines.reduce((sum, { spans }) => sum + lettersOf(spans), 0);
  return node.kind === 'box' ? lettersInBox(node) : 0;
}

const lettersInBox = memoizeByObject(({ children }: BoxNode): number =>
  children.reduce((sum, child) => sum + lettersIn(child), 0),
);

/** The number of letters in spans. */
export function lettersOf(spans: readonly TextSpan[]): number {
  return spans.reduce((sum, { text }) => sum + [...text].length, 0);
}
