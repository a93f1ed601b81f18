import { isFieldRole, isFlowing } from '../../../sort/vocabulary';
import { BY_HAND } from '../../tolerances';
import { area, bottom, boxAround, type Box } from '../../../mockup/box';
import { borderInsets } from '../../../look/look';
import { memoizeByObject } from '../../../mockup/memoize';
import { placedBox } from '../../placed';
import { lineText, type BoxNode, type PageNode, type TextNode } from '../../node';
import { anonymousBox } from '../../anonymousBox';
import { hasWords } from './nodePredicates';
import { coreOf } from './nodeBoxes';
import { xyCut, type Cut } from './xyCut';
import { keepAsDrawn, isDiagram, isDrawing, isOverlappingRow, isNetwork, isPlot } from './diagrams';
import { reparentContained } from './reparent';
import { saidContent } from './saidContent';
import { separate } from './outOfFlow/separate';

/**
 * A node with its content sorted into parts in the flow and out-of-flow nodes. Boxes are px of the screen.
 */
export interface Part {
  readonly node: PageNode;
  readonly box: Box;
  /** True for one of several parts with a common width, whatever their content. */
  readonly sized?: boolean;
  /** Null when no content flows. */
  readonly content: Content | null;
  /** Out-of-flow nodes beneath or above all parts in the flow. */
  readonly below: readonly PageNode[];
  readonly above: readonly PageNode[];
}

export interface Content {
  readonly direction: 'row' | 'column' | 'grid';
  /** In reading order; the cells of a grid row by row. */
  readonly parts: readonly Part[];
  /** The rows of a grid; null for an empty cell. */
  readonly rows: readonly (readonly (Part | null)[])[];
  /** The columns of a grid that shares them with others, px of the screen. */
  readonly columns?: readonly Box[];
  /** True for a row whose parts start at even steps. */
  readonly pitch?: boolean;
  /** True for parts that do not stand where they were drawn, since a person said so. */
  readonly isMoved?: boolean;
}

/** A node as a part with sorted content. */
export const partOf = memoizeByObject(sortParts);

function sortParts(node: PageNode): Part {
  const box = placedBox(node.place);
  if (node.kind !== 'box' || node.children.length === 0)
    return { node, box, content: null, below: [], above: [] };
  const said = node.layoutOverride?.contents;
  if (node.keepsPlace || said === 'nested')
    return { node, box, content: null, below: [], above: node.children };
  if (isFlowing(said)) {
    const seen = node.children.filter(({ hidden }) => !hidden);
    const above = node.children.filter(({ hidden }) => hidden);
    return { node, box, content: seen.length > 0 ? contentAsSaid(said, seen) : null, below: [], above };
  }
  if (isAvatar(node)) return { node, box, ...contentOfAvatar(node, box) };
  return { node, box, ...contentOf(node.children, box, node, sortingIn(node)) };
}

/**
 * Common practice, no source: a disc with letters of at most this many px is an avatar, whose size does not
 * follow the letters.
 */
const LARGEST_AVATAR = 96;

/** True for a small disc with letters. A disc with a number grows with it. */
export function isAvatar(node: PageNode): boolean {
  const { place, look } = node;
  const { width, height } = place;
  if (
    node.kind !== 'box' ||
    !look.radii ||
    Math.abs(width - height) > BY_HAND.overlap ||
    width > LARGEST_AVATAR
  )
    return false;
  return look.radii.every(({ x, y }) => Math.min(x, y) * 2 >= width - BY_HAND.overlap) && hasLetters(node);
}

function hasLetters(node: PageNode): boolean {
  if (node.kind === 'text') return node.lines.some((line) => /\p{L}/u.test(lineText(line)));
  return node.kind === 'box' && node.children.some(hasLetters);
}

/** The letters of an avatar flow; other content, such as a status dot, keeps its place. */
function contentOfAvatar(node: BoxNode, box: Box): Pick<Part, 'content' | 'below' | 'above'> {
  const first = node.children.findIndex(hasWords);
  const isBlank = (child: PageNode) => !hasWords(child);
  const { content, below, above } = contentOf(node.children.filter(hasWords), box, node, sortingIn(node));
  return {
    content,
    below: [...node.children.slice(0, first), ...below],
    above: [...above, ...node.children.slice(first).filter(isBlank)],
  };
}

function sortingIn({ role, look }: BoxNode): SortOptions {
  return { holds: !isFieldRole(role), cuts: !isFieldRole(role) && look.clip?.kind === 'box' };
}

/** The padding box of a box node, px of the screen. */
export function innerBox(node: BoxNode): Box {
  const { top, right: rightEdge, bottom: bottomEdge, left } = borderInsets(node.look);
  const box = placedBox(node.place);
  return {
    x: box.x + left,
    y: box.y + top,
    width: box.width - left - rightEdge,
    height: box.height - top - bottomEdge,
  };
}

/**
 * All children in the direction that a person said.
 * @param part makes a part of each
 */
export function contentAsSaid(
  direction: Content['direction'],
  children: readonly PageNode[],
  part: (node: PageNode) => Part = partOf,
): Content {
  const said = saidContent(direction, children);
  const { isMoved } = said;
  if (said.direction !== 'grid')
    return { direction: said.direction, parts: said.children.map(part), rows: [], isMoved };
  const rows = said.rows.map((row) => row.map((node) => node && part(node)));
  return { direction: 'grid', parts: rows.flat().filter((each) => each !== null), rows, isMoved };
}

interface SortOptions {
  /** True where boxes may take in nodes that lie on them. */
  readonly holds: boolean;
  /** True where overflow is clipped. */
  readonly cuts: boolean;
}

/**
 * Sorts children in drawing order into parts in the flow and out-of-flow nodes.
 * @param frame the border box around them: nodes on it are still inside
 */
export function contentOf(
  children: readonly PageNode[],
  frame: Box,
  around: { readonly layer: string },
  { holds, cuts }: SortOptions = { holds: true, cuts: false },
): Pick<Part, 'content' | 'below' | 'above'> {
  if (isOverlappingRow(children))
    return { content: { direction: 'row', parts: children.map(partOf), rows: [] }, below: [], above: [] };
  if (isDrawing(children)) return { content: null, below: [], above: children };
  const held = holds ? reparentContained(children) : children;
  if (isNetwork(children) || isPlot(held))
    return { content: null, below: [], above: children.map(keepAsDrawn) };
  const { flowing, below, above } = separate(held, frame, cuts);
  const parts = flowing.map(partOf);
  let left = parts;
  const loose: PageNode[] = [];
  // Parts that no line separates leave the flow, the smallest first, until the rest can be cut.
  for (;;) {
    if (isDiagram(left.length, held.length))
      return { content: null, below: [], above: children.map(keepAsDrawn) };
    const cut = xyCut(left.map((part) => coreOf(part.node, part.box)));
    if (cut ?? left.length === 0)
      return { content: cut && contentFromCut(cut, left, around), below, above: [...loose, ...above] };
    const smallest = smallestOf(left);
    loose.push(...smallest.map(({ node }) => node));
    left = left.filter((part) => !smallest.includes(part));
  }
}

/** Up to this many parts are removed one at a time; of more, as many at a time as take equally long. */
const MANY_PARTS = 200;

function smallestOf(parts: readonly Part[]): readonly Part[] {
  const count = Math.ceil(parts.length / MANY_PARTS);
  return parts.toSorted((one, other) => area(one.box) - area(other.box)).slice(0, count);
}

/** True for a part whose content continues below its clip. */
export function isCutBelow({ node, box }: Part, inside: Box): boolean {
  return node.look.clip?.kind === 'box' && bottom(inside) > bottom(box) + BY_HAND.overlap;
}

function contentFromCut(cut: Cut, parts: readonly Part[], around: { readonly layer: string }): Content {
  const whole = partFromCut(cut, parts, around);
  if (whole.content && cut.kind !== 'one') return whole.content;
  return { direction: 'column', parts: [whole], rows: [] };
}

/** A part of a cut: the node itself, or an anonymous box around several. */
function partFromCut(cut: Cut, parts: readonly Part[], around: { readonly layer: string }): Part {
  switch (cut.kind) {
    case 'one':
      return parts[cut.at]!;
    case 'row':
    case 'column': {
      const inside = cut.parts.map((each) => partFromCut(each, parts, around));
      return anonymousPart({ direction: cut.kind, parts: inside, rows: [] }, around);
    }
    case 'grid': {
      const rows = cut.rows.map((row) => row.map((at) => (at === null ? null : parts[at]!)));
      const inside = rows.flat().filter((part) => part !== null);
      return anonymousPart({ direction: 'grid', parts: inside, rows }, around);
    }
  }
}

function anonymousPart(content: Content, { layer }: { readonly layer: string }): Part {
  const box = boxAround(content.parts.map((part) => part.box));
  return { node: anonymousBox(content.direction, layer, box), box, content, below: [], above: [] };
}

export function isText(part: Part): part is Part & { readonly node: TextNode } {
  return part.node.kind === 'text';
}
