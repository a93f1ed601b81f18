import { PAPER } from '../../look/contrast';
import { borderInsets, type Look } from '../../look/look';
import type { Point } from '../../mockup/matrix';
import type { Colour } from '../../mockup/paint';
import { lastMade } from '../../mockup/remember';
import type { Page, PageNode } from '../node';
import { betweenPx } from './between';

/** Turns places on the screen into places inside the padding box of the node around. */
export function relate(page: Page): Page {
  return { ...page, children: relateAll(page.children, { x: 0, y: 0 }, page.ground ?? PAPER) };
}

function relateAll(nodes: readonly PageNode[], { x, y }: Point, ground: Colour): readonly PageNode[] {
  return nodes.map((node) => lastRelated(node, [x, y, ground], () => relateOne(node, { x, y }, ground)));
}

const lastRelated = lastMade<PageNode, PageNode>();

function relateOne(node: PageNode, origin: Point, ground: Colour): PageNode {
  const place = betweenPx(node, ground);
  const nudge = node.kind === 'text' && place.kind === 'fixed' ? node.nudge : 0;
  const related = { ...place, x: place.x - origin.x, y: place.y - origin.y + nudge };
  if (node.kind !== 'box') return { ...node, place: related };
  const border = borderInsets(node.look);
  const inner = { x: place.x + border.left, y: place.y + border.top };
  return {
    ...node,
    place: related,
    children: relateAll(node.children, inner, groundIn(node.look) ?? ground),
  };
}

/** The colour that a box gives to the ground of what is inside of it. */
function groundIn({ fills = [] }: Look): Colour | null {
  const fill = fills.at(-1);
  return fill?.kind === 'solid' && fill.colour.alpha === 1 ? fill.colour : null;
}
