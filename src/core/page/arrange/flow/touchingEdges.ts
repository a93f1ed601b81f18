import { borderInsets, type Look } from '../../../look/look';
import { bottom, boxOf, right, type Box } from '../../../mockup/box';
import { placedBox } from '../../placed';
import { BY_HAND } from '../../tolerances';
import { mapBoxes, withChildren } from '../../mapBoxes';
import type { Page } from '../../frame';
import type { BoxNode, PageNode } from '../../node';

/**
 * Painted boxes that nearly reach the inside of the border around them reach it: a stroke between px, or its width, moved
 * them by a px. Places are px of the screen.
 */
export function touchEdges(page: Page): Page {
  return { ...page, children: page.children.map(touched) };
}

const touched: (node: PageNode) => PageNode = mapBoxes((node: BoxNode) => {
  const children = node.children.map(touched);
  if (node.place.linear || !isPainted(node.look)) return withChildren(node, children);
  const inside = insideOf(node);
  return withChildren(
    node,
    children.map((child) => {
      if (child.kind !== 'box' || child.place.linear || !isPainted(child.look)) return child;
      const own = placedBox(child.place);
      const [left, end] = alongEdges([own.x, right(own)], [inside.x, right(inside)]);
      const [top, base] = alongEdges([own.y, bottom(own)], [inside.y, bottom(inside)]);
      const box = boxOf(left, top, end, base);
      const isSame = left === own.x && top === own.y && end === right(own) && base === bottom(own);
      return isSame || box.width <= 0 || box.height <= 0
        ? child
        : { ...child, place: { ...child.place, ...box } };
    }),
  );
});

/** The padding box (CSS Box 3, §2). */
function insideOf({ place, look }: BoxNode): Box {
  const { top, right: end, bottom: base, left } = borderInsets(look);
  const { x, y, width, height } = placedBox(place);
  return { x: x + left, y: y + top, width: width - left - end, height: height - top - base };
}

type Span = readonly [start: number, end: number];

function alongEdges(own: Span, around: Span): Span {
  const [start, end] = own.map((edge, at) =>
    Math.abs(edge - around[at]!) <= BY_HAND.border ? around[at]! : edge,
  );
  return [start!, end!];
}

function isPainted({ fills, border, sides, shadows }: Look): boolean {
  return [fills, border, sides, shadows].some((paint) => paint !== undefined);
}
