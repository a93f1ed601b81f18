import { BY_HAND } from '../../tolerances';
import { bottom, right, type Box } from '../../../mockup/box';
import { memoizeLast } from '../../../mockup/memoize';
import { placedBox } from '../../placed';
import { collectFromNodes } from '../../walk';
import type { Page } from '../../frame';
import type { PageNode, TextNode } from '../../node';
import { withLineHeight, withLines } from './lineHeights';

/** Common practice, no source: the smallest line height of headlines, as a share of their size. */
const TIGHTEST_SHARE = 0.9;

/**
 * Headlines are set tighter than the height of their letters. When their lines are separate texts, the line
 * boxes overlap; they get the line height with which they stack without overlap. Places are px of the screen.
 */
export function inferTightLineHeights(page: Page): Page {
  const less = excessHeights(linesIn(page.children));
  if (less.size === 0) return page;
  return { ...page, children: page.children.map((node) => withTightLines(node, less)) };
}

function withTightLines(node: PageNode, less: ReadonlyMap<PageNode, number>): PageNode {
  if (node.kind === 'box')
    return withLines(
      node,
      node.children.map((child) => withTightLines(child, less)),
    );
  const by = less.get(node);
  const height = node.look.type?.lineHeight ?? null;
  if (node.kind !== 'text' || by === undefined || height === null) return node;
  return lastTightened(node, [by], () => withLineHeight(node, height, height - by));
}

const lastTightened = memoizeLast<TextNode, TextNode>();

interface Line {
  readonly node: TextNode;
  readonly box: Box;
}

const linesIn = collectFromNodes<Line>((node) =>
  node.kind === 'text' && !node.hidden && !node.place.linear?.[1]
    ? [{ node, box: placedBox(node.place) }]
    : [],
);

/** The px by which the line heights of texts are to shrink. */
function excessHeights(texts: readonly Line[]): ReadonlyMap<PageNode, number> {
  const lines = texts.toSorted((one, other) => one.box.y - other.box.y);
  const less = new Map<PageNode, number>();
  lines.forEach((upper, at) => {
    for (let next = at + 1; next < lines.length && lines[next]!.box.y < bottom(upper.box); next++) {
      const lower = lines[next]!;
      const shared = sharedHeight(upper, lower);
      const [above, below] = [leadingOf(upper), leadingOf(lower)];
      if (shared <= BY_HAND.overlap || above + below < shared) continue;
      const own = Math.min(above, Math.max(shared / 2, shared - below));
      noteExcess(less, upper, 2 * own);
      noteExcess(less, lower, 2 * (shared - own));
    }
  });
  return less;
}

function noteExcess(less: Map<PageNode, number>, { node }: Line, by: number): void {
  if (by > 0) less.set(node, Math.max(by, less.get(node) ?? 0));
}

/** The overlap of a line with the one below, px; 0 for a line beside it or on it. */
function sharedHeight({ box }: Line, { box: under }: Line): number {
  const isBeside = Math.min(right(box), right(under)) - Math.max(box.x, under.x) <= BY_HAND.overlap;
  return isBeside || under.y - box.y < box.height / 2 ? 0 : bottom(box) - under.y;
}

/** Px that a line can lose above, and as many below; none for a paragraph, whose line height is known. */
function leadingOf({ node }: Line): number {
  const { type } = node.look;
  if (!type || node.lines.length !== 1 || type.lineHeight === null) return 0;
  return Math.max(0, (type.lineHeight - TIGHTEST_SHARE * type.size) / 2);
}
