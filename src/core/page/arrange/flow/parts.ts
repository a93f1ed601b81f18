import { area, bottom, boxAround, contains, overlaps, right, type Box } from '../../../mockup/box';
import { borderInsets } from '../../../look/look';
import { rememberOf } from '../../../mockup/remember';
import { placedBox } from '../../placed';
import { lineText, type BoxNode, type PageNode, type TextNode } from '../../node';
import { lettersIn } from '../letters';
import { madeBox } from '../../made';
import { hasWords, isBare, TOUCH } from './things';
import { ringed } from '../ringed';
import { boxesOf, coreOf } from './boxesOf';
import { cutBoxes, type Cut } from './cut';
import { asDrawn, isDiagram, isDrawing, isFanned, isNetwork, isPlot } from './drawings';

/** A node with what is inside of it sorted into what flows and what lies loose. Boxes are those of the screen. */
export interface Part {
  readonly node: PageNode;
  readonly box: Box;
  /** True for one of several that are as wide as each other, whatever is in them. */
  readonly sized?: boolean;
  /** Null for what has nothing inside that flows. */
  readonly content: Content | null;
  /** Placed at coordinates, beneath or above all that flows. */
  readonly below: readonly PageNode[];
  readonly above: readonly PageNode[];
}

export interface Content {
  readonly direction: 'row' | 'column' | 'grid';
  /** In reading order; the cells of a grid row by row. */
  readonly parts: readonly Part[];
  /** The rows of a grid; null for an empty cell. */
  readonly rows: readonly (readonly (Part | null)[])[];
  /** The columns of a grid where others share them, px of the screen. */
  readonly columns?: readonly Box[];
  /** True for a row whose parts begin at even steps. */
  readonly pitch?: boolean;
}

/** Px: what sticks out so little is half a line, and not meant to make its box wider. */
export const HALF_A_LINE = 2;

/** Roles that may take in what lies on them: containers without a meaning for single words. */
const HOLDERS: ReadonlySet<string> = new Set([
  ...['box', 'article', 'section', 'item', 'main', 'header', 'footer', 'figure', 'navigation'],
]);

/** A node as a part: what is in it, sorted. */
export const partOf = rememberOf(sortParts);

function sortParts(node: PageNode): Part {
  const box = placedBox(node.place);
  if (node.kind !== 'box' || node.children.length === 0)
    return { node, box, content: null, below: [], above: [] };
  const said = node.wish?.contents;
  if (node.drawn || said === 'nested') return { node, box, content: null, below: [], above: node.children };
  if (said !== undefined)
    return { node, box, content: saidContent(said, node.children), below: [], above: [] };
  if (isAvatar(node)) return { node, box, ...contentOfAvatar(node, box) };
  return { node, box, ...contentOf(node.children, box, node, sortingIn(node)) };
}

/** Common practice, no source: a disc of at most so many px with letters on it is an avatar, whose size they do not change. */
const DISC = 96;

/** True for a small disc with letters on it; numbers are counted, and their disc gets longer. */
export function isAvatar(node: PageNode): boolean {
  const { place, look } = node;
  const { width, height } = place;
  if (node.kind !== 'box' || !look.radii || Math.abs(width - height) > TOUCH || width > DISC) return false;
  return look.radii.every(({ x, y }) => Math.min(x, y) * 2 >= width - TOUCH) && hasLetters(node);
}

function hasLetters(node: PageNode): boolean {
  if (node.kind === 'text') return node.lines.some((line) => /\p{L}/u.test(lineText(line)));
  return node.kind === 'box' && node.children.some(hasLetters);
}

/** On a disc the letters flow; what else is on it, as a mark of whether someone is there, stays where it is. */
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

function sortingIn({ role, look }: BoxNode): Sorting {
  return { holds: role !== 'field', cuts: role !== 'field' && look.clip?.kind === 'box' };
}

/** The padding box of a box node: inside its borders, px of the screen. */
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

/** All children beside or under each other, as a person said, in the order in which they stand. */
function saidContent(direction: 'row' | 'column', children: readonly PageNode[]): Content {
  const start = ({ box }: Part) => (direction === 'row' ? box.x : box.y);
  const parts = children.map(partOf).toSorted((one, other) => start(one) - start(other));
  return { direction, parts, rows: [] };
}

interface Sorting {
  /** True where boxes may take in what lies on them. */
  readonly holds: boolean;
  /** True where what sticks out is cut off. */
  readonly cuts: boolean;
}

/**
 * Sorts children in drawing order into what flows and what lies loose.
 * @param frame the box around them, its borders included: what lies on them is still in it
 */
export function contentOf(
  children: readonly PageNode[],
  frame: Box,
  around: { readonly layer: string },
  { holds, cuts }: Sorting = { holds: true, cuts: false },
): Pick<Part, 'content' | 'below' | 'above'> {
  if (isFanned(children))
    return { content: { direction: 'row', parts: children.map(partOf), rows: [] }, below: [], above: [] };
  if (isDrawing(children)) return { content: null, below: [], above: children };
  const held = holds ? holdContained(children) : children;
  if (isNetwork(children) || isPlot(held)) return { content: null, below: [], above: children.map(asDrawn) };
  const { flowing, below, above } = separate(held, frame, cuts);
  const parts = flowing.map(partOf);
  let left = parts;
  const loose: PageNode[] = [];
  // What no line separates lies loose, the smallest first, until the rest can be cut.
  for (;;) {
    if (isDiagram(left.length, held.length))
      return { content: null, below: [], above: children.map(asDrawn) };
    const cut = cutBoxes(left.map((part) => coreOf(part.node, part.box)));
    if (cut ?? left.length === 0)
      return { content: cut && contentOfCut(cut, left, around), below, above: [...loose, ...above] };
    const smallest = smallestOf(left);
    loose.push(...smallest.map(({ node }) => node));
    left = left.filter((part) => !smallest.includes(part));
  }
}

/** Of so many parts one at a time is tried without; of more, as many at a time as take as long. */
const MANY_PARTS = 200;

function smallestOf(parts: readonly Part[]): readonly Part[] {
  const count = Math.ceil(parts.length / MANY_PARTS);
  return parts.toSorted((one, other) => area(one.box) - area(other.box)).slice(0, count);
}

/** True for a part whose content goes on below where it is cut off. */
export function isCutBelow({ node, box }: Part, inside: Box): boolean {
  return node.look.clip?.kind === 'box' && bottom(inside) > bottom(box) + TOUCH;
}

function contentOfCut(cut: Cut, parts: readonly Part[], around: { readonly layer: string }): Content {
  const whole = partOfCut(cut, parts, around);
  if (whole.content && cut.kind !== 'one') return whole.content;
  return { direction: 'column', parts: [whole], rows: [] };
}

/** A part of a cut: the node itself, or a box made around several. */
function partOfCut(cut: Cut, parts: readonly Part[], around: { readonly layer: string }): Part {
  switch (cut.kind) {
    case 'one':
      return parts[cut.at]!;
    case 'row':
    case 'column': {
      const inside = cut.parts.map((each) => partOfCut(each, parts, around));
      return madePart({ direction: cut.kind, parts: inside, rows: [] }, around);
    }
    case 'grid': {
      const rows = cut.rows.map((row) => row.map((at) => (at === null ? null : parts[at]!)));
      const inside = rows.flat().filter((part) => part !== null);
      return madePart({ direction: 'grid', parts: inside, rows }, around);
    }
  }
}

function madePart(content: Content, { layer }: { readonly layer: string }): Part {
  const box = boxAround(content.parts.map((part) => part.box));
  return { node: madeBox(content.direction, layer, box), box, content, below: [], above: [] };
}

/** Boxes hold what is drawn on them, when nothing that lies between in drawing order would change places with it. */
function holdContained(children: readonly PageNode[]): readonly PageNode[] {
  if (!children.some(canHold)) return children;
  const { boxes, touching } = boxesOf(children);
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
          (contains(boxes[other]!, box, TOUCH) || (hasWords(child) && beginsAt(boxes[other]!, box))),
      )
      .at(-1);
    if (holds === undefined) return null;
    const between = under.filter((other) => other > holds && overlaps(boxes[other]!, box, TOUCH));
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
      ? ringed({ ...node, children: [...node.children, ...taken.map(build)] })
      : node;
  };
  return children.flatMap((_, at) => (holder[at] === null ? build(at) : []));
}

/** True for what begins at a box's upper edge, the room of its first line above it. */
function beginsAt(box: Box, inside: Box): boolean {
  return (
    inside.y >= box.y - HALF_A_LINE &&
    contains({ ...box, y: inside.y, height: bottom(box) - inside.y }, inside)
  );
}

export function canHold(node: PageNode): boolean {
  const { fills, border, sides, shadows, clip } = node.look;
  return isOpen(node) && (fills ?? border ?? sides ?? shadows ?? clip) !== undefined;
}

/** True for a container in which other things would look as they do outside of it. */
export function isOpen(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || node.place.turn || node.hidden || !HOLDERS.has(node.role)) return false;
  const { opacity, filters, blend, clip, fillInset } = node.look;
  const isDressed = [fillInset, opacity, filters, blend].some((each) => each !== undefined);
  return !isDressed && clip?.kind !== 'path';
}

/** Where what lies loose is drawn: beneath or above all that flows. */
type Where = 'below' | 'above';

interface Separated {
  readonly flowing: readonly PageNode[];
  readonly below: readonly PageNode[];
  readonly above: readonly PageNode[];
}

/** What overlaps on purpose lies loose: what is beneath most of the box, what sticks out, and the smaller of two. */
function separate(children: readonly PageNode[], frame: Box, cuts: boolean): Separated {
  const { boxes, cores, touching } = boxesOf(children);
  const loose = new Map<number, Where>();
  children.forEach((child, at) => {
    const fits = contains(frame, boxes[at]!, HALF_A_LINE) || (cuts && runsOut(child, boxes[at]!, frame));
    if (!fits || isTurned(child) || child.hidden) loose.set(at, at === 0 ? 'below' : 'above');
  });
  for (const [lower, low] of boxes.entries()) {
    for (const upper of touching(lower)) {
      if (upper <= lower) continue;
      if (loose.has(lower)) break;
      const high = boxes[upper]!;
      if (loose.has(upper) || !overlaps(cores[lower]!, cores[upper]!, TOUCH)) continue;
      const isGround =
        contains(low, high, TOUCH) &&
        isGroundBox(children[lower]!, children[upper]!, area(low) * 2 >= area(frame));
      // A frame over all of something lies on it.
      const isFrame = contains(high, low, TOUCH) && isBare(children[upper]!);
      if (isGround) loose.set(lower, 'below');
      else if (isFrame) loose.set(upper, 'above');
      else if (contains(low, high, TOUCH) || area(high) <= area(low)) loose.set(upper, 'above');
      else loose.set(lower, 'below');
    }
  }
  keepDrawnOrder(children, loose);
  const pick = (where: Where | undefined) => children.filter((_, at) => loose.get(at) === where);
  return { flowing: pick(undefined), below: pick('below'), above: pick('above') };
}

/** Of two that overlap the later one is drawn above: the other goes beneath with it, or where it cannot, the later one above. */
function keepDrawnOrder(children: readonly PageNode[], loose: Map<number, Where>): void {
  if (loose.size === 0) return;
  const { cores, touching } = boxesOf(children);
  const rank = (at: number) => ({ below: 0, flows: 1, above: 2 })[loose.get(at) ?? 'flows'];
  const under = (at: number) =>
    touching(at).filter(
      (other) => other < at && !children[other]!.hidden && overlaps(cores[other]!, cores[at]!, TOUCH),
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

/** True for words of a line that goes on past the right edge of a box, or of a list that goes on below it, where they are cut off. */
function runsOut(node: PageNode, box: Box, frame: Box): boolean {
  const room = right(frame) - box.x;
  const rest = { ...box, width: Math.min(box.width, room) };
  const list = { ...frame, height: Math.max(frame.height, bottom(box) - frame.y) };
  return room > 0 && contains(list, rest, TOUCH) && hasWords(node);
}

/**
 * What is drawn beneath other things to be their ground: boxes that hold nothing, and of what takes up most of the box around
 * pictures, and things with fewer words than those over it.
 */
function isGroundBox(node: PageNode, over: PageNode, isMost: boolean): boolean {
  if (!isMost) return node.kind === 'box' && isBare(node);
  return node.kind !== 'text' && lettersIn(node) <= lettersIn(over);
}

/** Stretched letters flow; what is turned or slanted does not. */
function isTurned({ place }: PageNode): boolean {
  const { turn } = place;
  return turn !== null && !(turn[1] === 0 && turn[2] === 0 && turn[0] > 0 && turn[3] > 0);
}

export function isText(part: Part): part is Part & { readonly node: TextNode } {
  return part.node.kind === 'text';
}
