import { isButton } from '../../../sort/vocabulary';
import { mapBoxes, withChildren } from '../../mapBoxes';
import type { Page } from '../../frame';
import type { PageNode } from '../../node';

/** The words of a button stay on one line, as they are drawn: a button makes room for them. */
export function keepPressedWords(page: Page): Page {
  return { ...page, children: page.children.map(withPressedWords) };
}

function withPressedWords(node: PageNode): PageNode {
  return isButton(node.role) ? onOneLine(node) : inside(node);
}

const inside = mapBoxes((box) => withChildren(box, box.children.map(withPressedWords)));

function onOneLine(node: PageNode): PageNode {
  if (node.kind === 'box') return withChildren(node, node.children.map(onOneLine));
  const isLine = node.kind === 'text' && node.lines.length === 1 && node.place.kind === 'flow';
  return isLine ? { ...node, wraps: 'never' } : node;
}
