import { rememberOf } from '../../mockup/remember';
import type { BoxNode, PageNode, TextSpan } from '../node';

/** How many letters a node and all in it have. */
export function lettersIn(node: PageNode): number {
  if (node.kind === 'text') return node.lines.reduce((sum, { spans }) => sum + lettersOf(spans), 0);
  return node.kind === 'box' ? lettersInBox(node) : 0;
}

const lettersInBox = rememberOf(({ children }: BoxNode): number =>
  children.reduce((sum, child) => sum + lettersIn(child), 0),
);

/** How many letters there are in runs. */
export function lettersOf(spans: readonly TextSpan[]): number {
  return spans.reduce((sum, { text }) => sum + [...text].length, 0);
}
