import { PAPER } from '../../look/contrast';
import { borderInsets, type Look } from '../../look/look';
import type { Point } from '../../mockup/matrix';
import type { Colour } from '../../mockup/paint';
import { memoizeLast } from '../../mockup/memoize';
import { hasStretchedLines, type PageNode, type TextNode, type TextNodeLine } from '../node';
import type { Page } from '../frame';
import type { Place } from '../place';
import { withChildren } from '../mapBoxes';
import { snapCompensatedPlace } from './pixelSnapCompensation';

/**
 * Converts coordinates on the screen to coordinates in the padding box of the parent. Nodes in the flow have
 * none.
 */
export function toLocalCoordinates(page: Page): Page {
  return { ...page, children: convertAll(page.children, { x: 0, y: 0 }, page.ground ?? PAPER) };
}

function convertAll(nodes: readonly PageNode[], { x, y }: Point, ground: Colour): readonly PageNode[] {
  return nodes.map((node) => lastConverted(node, [x, y, ground], () => convertOne(node, { x, y }, ground)));
}

const lastConverted = memoizeLast<PageNode, PageNode>();

function convertOne(node: PageNode, origin: Point, ground: Colour): PageNode {
  if (node.kind === 'text') return convertText(node, origin);
  const place = snapCompensatedPlace(node, ground);
  const related = place.kind === 'flow' ? place : { ...place, x: place.x - origin.x, y: place.y - origin.y };
  if (node.kind !== 'box') return withPlace(node, related);
  const border = borderInsets(node.look);
  const inner = { x: place.x + border.left, y: place.y + border.top };
  const children = convertAll(node.children, inner, backgroundOf(node.look) ?? ground);
  return withPlace(withChildren(node, children), related);
}

/** The node with this place, or the same node when it has it already. */
function withPlace<Node extends PageNode>(node: Node, place: Place): Node {
  return node.place === place ? node : { ...node, place };
}

/** The background colour that a box gives to its content. */
function backgroundOf({ fills = [] }: Look): Colour | null {
  const fill = fills.at(-1);
  return fill?.kind === 'solid' && fill.colour.alpha === 1 ? fill.colour : null;
}

/**
 * Letters lie in the row of px in which they were drawn; stretched lines, which browsers move to whole px,
 * start there.
 */
function convertText(node: TextNode, { x, y }: Point): TextNode {
  const { place } = node;
  if (place.kind !== 'fixed') return node;
  const rest = hasStretchedLines(node) && !place.pins ? place.x - Math.floor(place.x) : 0;
  const lines = rest === 0 ? node.lines : node.lines.map((line) => movedRight(line, rest));
  return { ...node, lines, place: { ...place, x: place.x - rest - x, y: place.y - y + node.baselineOffset } };
}

function movedRight(line: TextNodeLine, by: number): TextNodeLine {
  return line.at ? { ...line, at: { ...line.at, x: line.at.x + by } } : line;
}
