import { borderInsets } from '../look/look';
import type { Box } from '../mockup/box';
import type { LayerId } from '../mockup/layer';
import type { Point } from '../mockup/matrix';
import type { Decisions } from '../sort/decision';
import { CONTENTS, isFlowing, type Contents } from '../sort/vocabulary';
import { contentAsSaid, type Part } from './arrange/flow/parts';
import { flowPlace, layOutContent } from './arrange/flow/layOut';
import { findNode } from './findNode';
import type { Page } from './frame';
import type { Layout } from './layout';
import type { BoxNode, PageNode } from './node';
import { placedBox } from './placed';
import { moveNode } from './moveNode';
import { walkNodes } from './walk';

/** A layout that the parts of a container could have. */
export interface LayoutCandidate {
  readonly contents: Contents;
  /** True for the one that it has. */
  readonly isChosen: boolean;
  /** The numbers and alignments that its code would say: gaps, paddings, margins, coordinates. */
  readonly numbers: number;
  /** The parts that would stand elsewhere than they are drawn. */
  readonly moved: number;
  /** Px by which the farthest of them would move. */
  readonly farthest: number;
}

/** Px by which a part may stand off without being moved. */
const TOLERANCE = 1;

/**
 * The layouts that the parts of a layer's element could have in the flow, and what each would cost. Empty for a layer
 * without an element, and for one with fewer than two parts.
 */
export function layoutCandidates(
  pages: readonly Page[],
  decisions: Decisions,
  layer: LayerId,
): readonly LayoutCandidate[] {
  const found = findNode(pages, decisions, layer);
  if (found?.node.kind !== 'box' || !found.page.layout) return [];
  const { node, page } = found;
  const chosen = chosenOf(node);
  const parts = node.children.filter(({ hidden }) => !hidden);
  if (chosen === null || node.anonymous || parts.length < 2) return [];
  const box = boxOnScreen(page.children, { x: 0, y: 0 }, node) ?? placedBox(node.place);
  const drawn = parts.map((part) => asDrawn(part, node, box));
  return CONTENTS.map((contents) => {
    const isChosen = contents === chosen;
    return { contents, isChosen, ...costOf(contents, { node, box, parts: drawn }) };
  });
}

/** The layout that a container has; null for letters in a line. */
function chosenOf({ layout, layoutOverride }: BoxNode): Contents | null {
  if (layoutOverride?.contents) return layoutOverride.contents;
  if (!layout) return 'nested';
  return layout.direction === 'words' ? null : layout.direction;
}

/** Where a node is drawn, px of the screen: places out of the flow are px of the parent's padding box. */
function boxOnScreen(nodes: readonly PageNode[], origin: Point, wanted: PageNode): Box | null {
  for (const node of nodes) {
    const own = placedBox(node.place);
    const box = node.place.kind === 'flow' ? own : { ...own, x: own.x + origin.x, y: own.y + origin.y };
    if (node === wanted) return box;
    const inside = node.kind === 'box' ? boxOnScreen(node.children, insideOf(node, box), wanted) : null;
    if (inside) return inside;
  }
  return null;
}

function insideOf({ look }: PageNode, { x, y }: Box): Point {
  const border = borderInsets(look);
  return { x: x + border.left, y: y + border.top };
}

/** A part where the mockup draws it, px of the screen. */
function asDrawn(part: PageNode, around: BoxNode, box: Box): PageNode {
  const { movedBy, ...still } = part;
  const { place } = part;
  if (movedBy) return moveNode(still, -movedBy.x, -movedBy.y);
  if (place.kind === 'flow') return part;
  const { x, y } = insideOf(around, box);
  return { ...part, place: { ...place, x: place.x + x, y: place.y + y } };
}

interface Container {
  readonly node: BoxNode;
  readonly box: Box;
  /** Where the mockup draws them. */
  readonly parts: readonly PageNode[];
}

type Cost = Pick<LayoutCandidate, 'numbers' | 'moved' | 'farthest'>;

function costOf(contents: Contents, { node, box, parts }: Container): Cost {
  if (!isFlowing(contents)) {
    const placed = contents === 'exact' ? walkNodes(parts) : parts;
    return { numbers: placed.reduce((all, part) => all + coordinatesOf(part), 0), moved: 0, farthest: 0 };
  }
  const content = contentAsSaid(contents, parts, leafOf);
  const whole: Part = { node, box, content, below: [], above: [] };
  const made = layOutContent(whole, content, true, (part, stand) => ({
    ...part.node,
    place: flowPlace(part, stand),
  }));
  const distances = content.parts.map(({ node: { movedBy } }) =>
    movedBy ? Math.hypot(movedBy.x, movedBy.y) : 0,
  );
  const far = distances.filter((distance) => distance > TOLERANCE);
  return {
    numbers: layoutNumbers(made.layout) + made.children.reduce((all, child) => all + ownNumbers(child), 0),
    moved: far.length,
    farthest: Math.max(0, ...far),
  };
}

/** A node as a part whose own layout does not matter. */
function leafOf(node: PageNode): Part {
  return { node, box: placedBox(node.place), content: null, below: [], above: [] };
}

/** What coordinates say of a node: its place, and its size where the content does not give it. */
function coordinatesOf({ place }: PageNode): number {
  return place.fitsContent ? 2 : 4;
}

function layoutNumbers({ gap, rowGap, padding, align, justify, tracks }: Layout): number {
  const { top, right, bottom, left } = padding;
  const paddings = new Set([top, right, bottom, left].filter((edge) => edge !== 0)).size;
  return [
    gap !== 0,
    rowGap !== gap,
    align !== 'stretch',
    justify !== 'start',
    tracks.length > 0,
    tracks.some(({ kind }) => kind === 'px'),
  ].reduce((all, isSaid) => all + Number(isSaid), paddings);
}

/** What a part says for itself: margins, and an alignment of its own. */
function ownNumbers({ place }: PageNode): number {
  if (place.kind === 'fixed') return 2;
  const { top, right, bottom, left } = place.margin;
  return [top, right, bottom, left].filter((edge) => edge !== 0).length + Number(place.align !== null);
}
