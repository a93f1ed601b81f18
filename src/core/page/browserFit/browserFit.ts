import { PAPER } from '../../look/contrast';
import type { Look } from '../../look/look';
import type { Colour } from '../../mockup/paint';
import { memoizeLast } from '../../mockup/memoize';
import type { Page } from '../frame';
import { withChildren } from '../mapBoxes';
import { hasStretchedLines, type PageNode, type TextNode, type TextNodeLine } from '../node';
import type { Place } from '../place';
import { snapCompensatedPlace } from './pixelSnapCompensation';

/**
 * Moves nodes to where browsers must have them, so that the page shows what the mockup draws: boxes between px
 * are brought there by a transform, letters lie in the row of px in which they were drawn. Places are px of the
 * screen.
 */
export function browserFit(page: Page): Page {
  return { ...page, children: fitAll(page.children, page.ground ?? PAPER) };
}

const lastFitted = memoizeLast<PageNode, PageNode>();

/** @param ground the background colour around the nodes */
function fitAll(nodes: readonly PageNode[], ground: Colour): readonly PageNode[] {
  return nodes.map((node) => lastFitted(node, [ground], () => fitNode(node, ground)));
}

function fitNode(node: PageNode, ground: Colour): PageNode {
  if (node.kind === 'text') return fitText(node);
  const place = snapCompensatedPlace(node, ground);
  if (node.kind !== 'box') return withPlace(node, place);
  const children = fitAll(node.children, backgroundOf(node.look) ?? ground);
  return withPlace(withChildren(node, children), place);
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

/** Stretched lines, which browsers move to whole px, start there. */
function fitText(node: TextNode): TextNode {
  const { place } = node;
  if (place.kind !== 'fixed') return node;
  const rest = hasStretchedLines(node) && !place.pins ? place.x - Math.floor(place.x) : 0;
  const lines = rest === 0 ? node.lines : node.lines.map((line) => movedRight(line, rest));
  return { ...node, lines, place: { ...place, x: place.x - rest, y: place.y + node.baselineOffset } };
}

function movedRight(line: TextNodeLine, by: number): TextNodeLine {
  return line.at ? { ...line, at: { ...line.at, x: line.at.x + by } } : line;
}
