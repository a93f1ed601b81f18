import { borderInsets } from '../../look/look';
import type { Point } from '../../mockup/matrix';
import { lastMade } from '../../mockup/remember';
import type { Page, PageNode } from '../node';

/** Turns places on the screen into places inside the padding box of the node around. */
export function relate(page: Page): Page {
  return { ...page, children: relateAll(page.children, { x: 0, y: 0 }) };
}

function relateAll(nodes: readonly PageNode[], { x, y }: Point): readonly PageNode[] {
  return nodes.map((node) => lastRelated(node, [x, y], () => relateOne(node, { x, y })));
}

const lastRelated = lastMade<PageNode, PageNode>();

function relateOne(node: PageNode, origin: Point): PageNode {
  const { place } = node;
  const nudge = node.kind === 'text' && place.kind === 'fixed' ? node.nudge : 0;
  const related = { ...place, x: place.x - origin.x, y: place.y - origin.y + nudge };
  if (node.kind !== 'box') return { ...node, place: related };
  const border = borderInsets(node.look);
  const inner = { x: place.x + border.left, y: place.y + border.top };
  return { ...node, place: related, children: relateAll(node.children, inner) };
}
