import { PAPER } from '../../look/contrast';
import { borderInsets, type Look } from '../../look/look';
import type { Point } from '../../mockup/matrix';
import type { Colour } from '../../mockup/paint';
import { lastMade } from '../../mockup/remember';
import {
  hasStretchedLines,
  type Page,
  type PageNode,
  type Place,
  type TextNode,
  type TextNodeLine,
} from '../node';
import { withChildren } from '../ofBoxes';
import { betweenPx } from './between';

/** Turns coordinates on the screen into those inside the padding box of the node around; what flows has none. */
export function relate(page: Page): Page {
  return { ...page, children: relateAll(page.children, { x: 0, y: 0 }, page.ground ?? PAPER) };
}

function relateAll(nodes: readonly PageNode[], { x, y }: Point, ground: Colour): readonly PageNode[] {
  return nodes.map((node) => lastRelated(node, [x, y, ground], () => relateOne(node, { x, y }, ground)));
}

const lastRelated = lastMade<PageNode, PageNode>();

function relateOne(node: PageNode, origin: Point, ground: Colour): PageNode {
  if (node.kind === 'text') return relateText(node, origin);
  const place = betweenPx(node, ground);
  const related = place.kind === 'flow' ? place : { ...place, x: place.x - origin.x, y: place.y - origin.y };
  if (node.kind !== 'box') return withPlace(node, related);
  const border = borderInsets(node.look);
  const inner = { x: place.x + border.left, y: place.y + border.top };
  const children = relateAll(node.children, inner, groundIn(node.look) ?? ground);
  return withPlace(withChildren(node, children), related);
}

/** The node with this place: the very same where it has it. */
function withPlace<Node extends PageNode>(node: Node, place: Place): Node {
  return node.place === place ? node : { ...node, place };
}

/** The colour that a box gives to the ground of what is inside of it. */
function groundIn({ fills = [] }: Look): Colour | null {
  const fill = fills.at(-1);
  return fill?.kind === 'solid' && fill.colour.alpha === 1 ? fill.colour : null;
}

/** Letters lie in the px in which they were drawn; stretched lines, which browsers move to whole px, start from there. */
function relateText(node: TextNode, { x, y }: Point): TextNode {
  const { place } = node;
  if (place.kind !== 'fixed') return node;
  const rest = hasStretchedLines(node) && !place.holds ? place.x - Math.floor(place.x) : 0;
  const lines = rest === 0 ? node.lines : node.lines.map((line) => movedRight(line, rest));
  return { ...node, lines, place: { ...place, x: place.x - rest - x, y: place.y - y + node.nudge } };
}

function movedRight(line: TextNodeLine, by: number): TextNodeLine {
  return line.at ? { ...line, at: { ...line.at, x: line.at.x + by } } : line;
}
