import { borderInsets } from '../../look/look';
import type { Point } from '../../mockup/matrix';
import { memoizeLast } from '../../mockup/memoize';
import type { Page } from '../frame';
import { withChildren } from '../mapBoxes';
import type { PageNode } from '../node';

/**
 * Converts coordinates on the screen to coordinates in the padding box of the parent. Nodes in the flow have
 * none.
 */
export function toLocalCoordinates(page: Page): Page {
  return { ...page, children: convertAll(page.children, { x: 0, y: 0 }) };
}

function convertAll(nodes: readonly PageNode[], { x, y }: Point): readonly PageNode[] {
  return nodes.map((node) => lastConverted(node, [x, y], () => convertOne(node, { x, y })));
}

const lastConverted = memoizeLast<PageNode, PageNode>();

function convertOne(node: PageNode, origin: Point): PageNode {
  const { place } = node;
  const local =
    place.kind === 'flow'
      ? node
      : { ...node, place: { ...place, x: place.x - origin.x, y: place.y - origin.y } };
  if (node.kind !== 'box' || local.kind !== 'box') return local;
  const border = borderInsets(node.look);
  const inner = { x: place.x + border.left, y: place.y + border.top };
  return withChildren(local, convertAll(node.children, inner));
}
