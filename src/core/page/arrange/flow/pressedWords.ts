import { isButton } from '../../../sort/vocabulary';
import { mapBoxes, withChildren } from '../../mapBoxes';
import type { Page } from '../../frame';
import type { PageNode } from '../../node';

/** The words of a button stay on one line, as they are drawn: a button makes room for them. */
export function keepPressedWords(page: Page): Page {
  return { ...page, children: page.children.map(withPressedWords) };
}

function withPressedWords(node: PageNode): PageNode {
  // A rule for all buttons says it; a link that looks like one says it itself.
  return isButton(node.role) ? onOneLine(node, node.href === undefined ? 'pressed' : 'never') : inside(node);
}

const inside = mapBoxes((box) => withChildren(box, box.children.map(withPressedWords)));

function onOneLine(node: PageNode, wraps: 'pressed' | 'never'): PageNode {
  if (node.kind === 'box')
    return withChildren(
      node,
      node.children.map((child) => onOneLine(child, wraps)),
    );
  const isLine = node.kind === 'text' && node.lines.length === 1 && node.place.kind === 'flow';
  return isLine ? { ...node, wraps } : node;
}
