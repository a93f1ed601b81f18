import { boxAround, contains, overlaps, type Box } from '../../../mockup/box';
import { lastMade, rememberOf } from '../../../mockup/remember';
import { isPlain, type TypeLook } from '../../../look/look';
import { placedBox } from '../../placed';
import { withChildren } from '../../ofBoxes';
import { gathering, type BoxNode, type Page, type PageNode, type TextNode } from '../../node';

/** Line heights that paragraphs show, px by family and size, and as a share of the size where all agree. */
interface Shown {
  readonly bySize: ReadonlyMap<string, number>;
  readonly share: number | null;
  /** Larger type is set tighter: the share holds up to this size, px. */
  readonly largest: number;
  /** All of it as text. */
  readonly mark: string;
}

/** Common practice, no source: how much larger type may be and still be set as the paragraphs are. */
const LARGER = 1.15;

/** How much the shares of two paragraphs may differ and still be one. */
const SAME_SHARE = 0.03;

/**
 * A single line does not show its line height, but paragraphs in the same type do: single lines get theirs, where there
 * is room, so that paddings and gaps come out as they were meant. Places are those of the screen.
 */
export function evenLineHeights(page: Page): Page {
  const shown = shownIn(page);
  if (shown.bySize.size === 0) return page;
  const screen = { x: 0, y: 0, width: page.width, height: Infinity };
  return { ...page, children: raiseAll(page.children, screen, shown) };
}

function shownIn(page: Page): Shown {
  const bySize = new Map<string, number>();
  const shares: number[] = [];
  let largest = 0;
  for (const { type, height } of typesOfParagraphs(page.children)) {
    bySize.set(markOf(type), height);
    shares.push(height / type.size);
    largest = Math.max(largest, type.size);
  }
  const [first = 0] = shares;
  const agree = shares.every((share) => Math.abs(share - first) <= SAME_SHARE);
  const share = agree && shares.length > 0 ? first : null;
  const mark = JSON.stringify([[...bySize], share, largest]);
  return { bySize, share, largest: largest * LARGER, mark };
}

/** The types of paragraphs, and their line heights, px. */
const typesOfParagraphs = gathering((node) => {
  const { look, place, kind } = node;
  const height = look.type?.lineHeight ?? null;
  const isParagraph = kind === 'text' && node.lines.length > 1 && !place.turn;
  return isParagraph && look.type && height !== null ? [{ type: look.type, height }] : [];
});

const markOf = rememberOf(({ families, size }: TypeLook) => JSON.stringify([families, size]));

const lastRaised = lastMade<PageNode, PageNode>();

function raiseAll(nodes: readonly PageNode[], around: Box, shown: Shown): readonly PageNode[] {
  const boxes = nodes.map((node) => placedBox(node.place));
  return nodes.map((node, at) => {
    const from = [around.x, around.y, around.width, around.height, shown.mark];
    const raised = lastRaised(node, from, () => raise(node, around, shown));
    if (raised === node) return node;
    const box = placedBox(raised.place);
    const meets = boxes.some(
      (other, index) => index !== at && overlaps(other, box, MET) && !overlaps(other, boxes[at]!, MET),
    );
    if (meets || !contains(around, box, 0.5)) return node;
    boxes[at] = box;
    return raised;
  });
}

/** Px that boxes may share and still not meet. */
const MET = 0.5;

function raise(node: PageNode, around: Box, shown: Shown): PageNode {
  if (node.kind === 'text') return raiseText(node, shown);
  if (node.kind === 'picture' || node.children.length === 0 || node.place.turn) return node;
  const seen = !isPlain(node.look);
  return withLines(node, raiseAll(node.children, seen ? placedBox(node.place) : around, shown));
}

/** The box with children whose lines have other heights: a group that shows nothing is as large as what is in it. */
export function withLines(node: BoxNode, children: readonly PageNode[]): BoxNode {
  const changed = withChildren(node, children);
  if (changed === node || !isPlain(node.look)) return changed;
  const before = boxAround(node.children.map((child) => placedBox(child.place)));
  const after = boxAround(children.map((child) => placedBox(child.place)));
  const { y, height } = node.place;
  const top = after.y - before.y;
  const grown = after.height - before.height;
  return { ...node, children, place: { ...node.place, y: y + top, height: height + grown } };
}

function raiseText(node: TextNode, { bySize, share, largest }: Shown): TextNode {
  const { type } = node.look;
  if (!type || node.lines.length !== 1 || type.lineHeight === null || node.place.turn?.[1]) return node;
  const height =
    bySize.get(markOf(type)) ?? (share === null || type.size > largest ? null : share * type.size);
  return height === null || height <= type.lineHeight ? node : withLineHeight(node, type.lineHeight, height);
}

/**
 * A single line with another line height, the letters where they were: the leading is halved above and below them, and
 * browsers take the upper half down to whole px (CSS Inline 3, §5.3).
 */
export function withLineHeight(node: TextNode, before: number, height: number): TextNode {
  const { place, look } = node;
  const above = Math.floor((height - before) / 2);
  return {
    ...node,
    baseline: node.baseline + above,
    look: { ...look, ...(look.type && { type: { ...look.type, lineHeight: height } }) },
    place: { ...place, y: place.y - above, height },
  };
}
