import { SNAPPED } from '../../tolerances';
import { boxAround, contains, overlaps, type Box } from '../../../mockup/box';
import { memoizeLast, memoizeByObject } from '../../../mockup/memoize';
import { isPlain, type TypeLook } from '../../../look/look';
import { placedBox } from '../../placed';
import { withChildren } from '../../mapBoxes';
import { collectFromNodes } from '../../walk';
import type { BoxNode, PageNode, TextNode } from '../../node';
import type { Page } from '../../frame';

/** The line heights of paragraphs, px by family and size, and as a share of the size where all agree. */
interface ParagraphLineHeights {
  readonly bySize: ReadonlyMap<string, number>;
  readonly share: number | null;
  /** Larger type is set tighter: the share holds up to this size, px. */
  readonly largest: number;
  /** All of it as text, for comparison. */
  readonly mark: string;
}

/** Common practice, no source: type up to this many times larger is set with the paragraphs' share. */
const LARGER_TYPE = 1.15;

/** Shares that differ by at most this much are equal. */
const SAME_SHARE = 0.03;

/**
 * A single line does not show its line height, but paragraphs in the same type do. Single lines take theirs
 * where there is room, so that paddings and gaps come out as intended. Places are px of the screen.
 */
export function inferLineHeights(page: Page): Page {
  const shown = paragraphLineHeights(page);
  if (shown.bySize.size === 0) return page;
  const screen = { x: 0, y: 0, width: page.width, height: Infinity };
  return { ...page, children: inferAll(page.children, screen, shown) };
}

function paragraphLineHeights(page: Page): ParagraphLineHeights {
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
  return { bySize, share, largest: largest * LARGER_TYPE, mark };
}

/** The types of paragraphs with their line heights, px. */
const typesOfParagraphs = collectFromNodes((node) => {
  const { look, place, kind } = node;
  const height = look.type?.lineHeight ?? null;
  const isParagraph = kind === 'text' && node.lines.length > 1 && !place.linear;
  return isParagraph && look.type && height !== null ? [{ type: look.type, height }] : [];
});

const markOf = memoizeByObject(({ families, size }: TypeLook) => JSON.stringify([families, size]));

const lastInferred = memoizeLast<PageNode, PageNode>();

function inferAll(nodes: readonly PageNode[], around: Box, shown: ParagraphLineHeights): readonly PageNode[] {
  const boxes = nodes.map((node) => placedBox(node.place));
  return nodes.map((node, at) => {
    const from = [around.x, around.y, around.width, around.height, shown.mark];
    const raised = lastInferred(node, from, () => withInferredLines(node, around, shown));
    if (raised === node) return node;
    const box = placedBox(raised.place);
    const meets = boxes.some(
      (other, index) =>
        index !== at && overlaps(other, box, SNAPPED) && !overlaps(other, boxes[at]!, SNAPPED),
    );
    if (meets || !contains(around, box, 0.5)) return node;
    boxes[at] = box;
    return raised;
  });
}

function withInferredLines(node: PageNode, around: Box, shown: ParagraphLineHeights): PageNode {
  if (node.kind === 'text') return inferText(node, shown);
  if (node.kind === 'picture' || node.children.length === 0 || node.place.linear) return node;
  const seen = !isPlain(node.look);
  return withLines(node, inferAll(node.children, seen ? placedBox(node.place) : around, shown));
}

/** The box with children of other line heights: a group without a look has the size of its content. */
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

function inferText(node: TextNode, { bySize, share, largest }: ParagraphLineHeights): TextNode {
  const { type } = node.look;
  if (!type || node.lines.length !== 1 || type.lineHeight === null || node.place.linear?.[1]) return node;
  const height =
    bySize.get(markOf(type)) ?? (share === null || type.size > largest ? null : share * type.size);
  return height === null || height <= type.lineHeight ? node : withLineHeight(node, type.lineHeight, height);
}

/**
 * A single line with another line height and the same baseline. The leading is halved above and below the
 * letters, and browsers round the upper half down to whole px (CSS Inline 3, §5.3).
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
