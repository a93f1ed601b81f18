import { BY_HAND } from '../../tolerances';
import { area, bottom, boxAround, contains, overlaps, right, type Box } from '../../../mockup/box';
import { borderInsets } from '../../../look/look';
import { memoizeByObject } from '../../../mockup/memoize';
import { placedBox } from '../../placed';
import { lineText, type BoxNode, type PageNode, type TextNode } from '../../node';
import { lettersIn } from '../letters';
import { anonymousBox } from '../../anonymousBox';
import { hasWords, isLeafWithoutText } from './nodePredicates';
import { borderAsShadow } from '../../rewrite/borderAsShadow';
import { nodeBoxes, coreOf } from './nodeBoxes';
import { xyCut, type Cut } from './xyCut';
import { keepAsDrawn, isDiagram, isDrawing, isOverlappingRow, isNetwork, isPlot } from './diagrams';

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
}

/** Roles that may take in nodes that lie on them: containers without a meaning for single words. */
const HOLDERS: ReadonlySet<string> = new Set([
  ...['box', 'article', 'section', 'item', 'main', 'header', 'footer', 'figure', 'navigation'],
]);

/** A node as a part with sorted content. */
export const partOf = memoizeByObject(sortParts);

function sortParts(node: PageNode): Part {
  const box = placedBox(node.place);
  if (node.kind !== 'box' || node.children.length === 0)
    return { node, box, content: null, below: [], above: [] };
  const said = node.layoutOverride?.contents;
  if (node.keepsPlace || said === 'nested')
    return { node, box, content: null, below: [], above: node.children };
  if (said !== undefined)
    return { node, box, content: overriddenContent(said, node.children), below: [], above: [] };
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
  return { holds: role !== 'field', cuts: role !== 'field' && look.clip?.kind === 'box' };
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

/** All children as a row or column, as a person said, in visual order. */
function overriddenContent(direction: 'row' | 'column', children: readonly PageNode[]): Content {
  const start = ({ box }: Part) => (direction === 'row' ? box.x : box.y);
  const parts = children.map(partOf).toSorted((one, other) => start(one) - start(other));
  return { direction, parts, rows: [] };
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

/** Moves nodes into the boxes that they are drawn on, unless that changes their order with a node between. */
function reparentContained(children: readonly PageNode[]): readonly PageNode[] {
  if (!children.some(canHold)) return children;
  const { boxes, touching } = nodeBoxes(children);
  const holder: (number | null)[] = [];
  const isHeldBy = (held: number, by: number): boolean => {
    const next = holder[held] ?? null;
    return next !== null && (next === by || isHeldBy(next, by));
  };
  const holderOf = (child: PageNode, at: number): number | null => {
    if (child.hidden) return null;
    const box = boxes[at]!;
    const under = touching(at).filter((other) => other < at);
    const holds = under
      .filter(
        (other) =>
          canHold(children[other]!) &&
          area(boxes[other]!) > area(box) &&
          (contains(boxes[other]!, box, BY_HAND.overlap) ||
            (hasWords(child) && beginsAt(boxes[other]!, box))),
      )
      .at(-1);
    if (holds === undefined) return null;
    const between = under.filter((other) => other > holds && overlaps(boxes[other]!, box, BY_HAND.overlap));
    return between.every((other) => isHeldBy(other, holds)) ? holds : null;
  };
  children.forEach((child, at) => holder.push(holderOf(child, at)));
  if (holder.every((at) => at === null)) return children;
  const inside = children.map((): number[] => []);
  holder.forEach((at, child) => at !== null && inside[at]!.push(child));
  const build = (at: number): PageNode => {
    const node = children[at]!;
    const taken = inside[at]!;
    return node.kind === 'box' && taken.length > 0
      ? borderAsShadow({ ...node, children: [...node.children, ...taken.map(build)] })
      : node;
  };
  return children.flatMap((_, at) => (holder[at] === null ? build(at) : []));
}

/** True for a node that starts at a box's top edge, with the leading of its first line above it. */
function beginsAt(box: Box, inside: Box): boolean {
  return (
    inside.y >= box.y - BY_HAND.overhang &&
    contains({ ...box, y: inside.y, height: bottom(box) - inside.y }, inside)
  );
}

export function canHold(node: PageNode): boolean {
  const { fills, border, sides, shadows, clip } = node.look;
  return isOpen(node) && (fills ?? border ?? sides ?? shadows ?? clip) !== undefined;
}

/** True for a container in which nodes look as they do outside. */
export function isOpen(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || node.place.linear || node.hidden || !HOLDERS.has(node.role)) return false;
  const { opacity, filters, blend, clip, fillInset } = node.look;
  const isDressed = [fillInset, opacity, filters, blend].some((each) => each !== undefined);
  return !isDressed && clip?.kind !== 'path';
}

/** Whether an out-of-flow node is painted beneath or above the parts in the flow. */
type Layer = 'below' | 'above';

interface Separated {
  readonly flowing: readonly PageNode[];
  readonly below: readonly PageNode[];
  readonly above: readonly PageNode[];
}

/**
 * Takes intended overlaps out of the flow: nodes beneath most of the box, nodes that stick out, and the
 * smaller of two.
 */
function separate(children: readonly PageNode[], frame: Box, cuts: boolean): Separated {
  const { boxes, cores, touching } = nodeBoxes(children);
  const loose = new Map<number, Layer>();
  children.forEach((child, at) => {
    const fits = contains(frame, boxes[at]!, BY_HAND.overhang) || (cuts && runsOut(child, boxes[at]!, frame));
    if (!fits || isTransformed(child) || child.hidden) loose.set(at, at === 0 ? 'below' : 'above');
  });
  for (const [lower, low] of boxes.entries()) {
    for (const upper of touching(lower)) {
      if (upper <= lower) continue;
      if (loose.has(lower)) break;
      const high = boxes[upper]!;
      if (loose.has(upper) || !overlaps(cores[lower]!, cores[upper]!, BY_HAND.overlap)) continue;
      const isGround =
        contains(low, high, BY_HAND.overlap) &&
        isGroundBox(children[lower]!, children[upper]!, area(low) * 2 >= area(frame));
      // A frame over all of a node lies on it.
      const isFrame = contains(high, low, BY_HAND.overlap) && isLeafWithoutText(children[upper]!);
      if (isGround) loose.set(lower, 'below');
      else if (isFrame) loose.set(upper, 'above');
      else if (contains(low, high, BY_HAND.overlap) || area(high) <= area(low)) loose.set(upper, 'above');
      else loose.set(lower, 'below');
    }
  }
  keepDrawnOrder(children, loose);
  const pick = (where: Layer | undefined) => children.filter((_, at) => loose.get(at) === where);
  return { flowing: pick(undefined), below: pick('below'), above: pick('above') };
}

/**
 * Of two overlapping nodes the later is painted above: the other one goes beneath with it, or where it
 * cannot, the later one above.
 */
function keepDrawnOrder(children: readonly PageNode[], loose: Map<number, Layer>): void {
  if (loose.size === 0) return;
  const { cores, touching } = nodeBoxes(children);
  const rank = (at: number) => ({ below: 0, flows: 1, above: 2 })[loose.get(at) ?? 'flows'];
  const under = (at: number) =>
    touching(at).filter(
      (other) =>
        other < at && !children[other]!.hidden && overlaps(cores[other]!, cores[at]!, BY_HAND.overlap),
    );
  children.forEach((child, upper) => {
    if (child.hidden) return;
    for (const lower of under(upper)) {
      if (rank(lower) <= rank(upper)) continue;
      if (under(lower).every((other) => rank(other) === 0)) loose.set(lower, 'below');
      else loose.set(upper, 'above');
    }
  });
}

/**
 * True for words of a line that continues past the right edge of a clipping box, or of a list that continues
 * below it.
 */
function runsOut(node: PageNode, box: Box, frame: Box): boolean {
  const room = right(frame) - box.x;
  const rest = { ...box, width: Math.min(box.width, room) };
  const list = { ...frame, height: Math.max(frame.height, bottom(box) - frame.y) };
  return room > 0 && contains(list, rest, BY_HAND.overlap) && hasWords(node);
}

/**
 * True for a background of other nodes: an empty box, or among nodes that take most of the parent, pictures
 * and nodes with fewer words than those above.
 */
function isGroundBox(node: PageNode, over: PageNode, isMost: boolean): boolean {
  if (!isMost) return node.kind === 'box' && isLeafWithoutText(node);
  return node.kind !== 'text' && lettersIn(node) <= lettersIn(over);
}

/** Stretched letters flow; rotated or skewed nodes do not. */
function isTransformed({ place }: PageNode): boolean {
  const { linear } = place;
  return linear !== null && !(linear[1] === 0 && linear[2] === 0 && linear[0] > 0 && linear[3] > 0);
}

export function isText(part: Part): part is Part & { readonly node: TextNode } {
  return part.node.kind === 'text';
}
