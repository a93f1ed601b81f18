import { bottom, right, type Box } from '../../../mockup/box';
import { lastMade } from '../../../mockup/remember';
import { placedBox } from '../../placed';
import { gathering, type Page, type PageNode, type TextNode } from '../../node';
import { withLineHeight, withLines } from './lineHeights';

/** Common practice, no source: lines of a headline are set as tight as this share of their size. */
const TIGHTEST = 0.9;

/** Px by which lines may reach into each other. */
const TOUCH = 1;

/**
 * Headlines are set tighter than their letters are high. Where their lines are texts of their own, those reach into each
 * other: they get a line height with which they stand under each other. Places are those of the screen.
 */
export function tightenLines(page: Page): Page {
  const less = overlapsOf(linesIn(page.children));
  if (less.size === 0) return page;
  return { ...page, children: page.children.map((node) => tightened(node, less)) };
}

function tightened(node: PageNode, less: ReadonlyMap<PageNode, number>): PageNode {
  if (node.kind === 'box')
    return withLines(
      node,
      node.children.map((child) => tightened(child, less)),
    );
  const by = less.get(node);
  const height = node.look.type?.lineHeight ?? null;
  if (node.kind !== 'text' || by === undefined || height === null) return node;
  return lastTightened(node, [by], () => withLineHeight(node, height, height - by));
}

const lastTightened = lastMade<TextNode, TextNode>();

interface Line {
  readonly node: TextNode;
  readonly box: Box;
}

const linesIn = gathering<Line>((node) =>
  node.kind === 'text' && !node.hidden && !node.place.turn?.[1] ? [{ node, box: placedBox(node.place) }] : [],
);

/** By how many px the line heights of texts are to be less. */
function overlapsOf(texts: readonly Line[]): ReadonlyMap<PageNode, number> {
  const lines = texts.toSorted((one, other) => one.box.y - other.box.y);
  const less = new Map<PageNode, number>();
  lines.forEach((upper, at) => {
    for (let next = at + 1; next < lines.length && lines[next]!.box.y < bottom(upper.box); next++) {
      const lower = lines[next]!;
      const shared = sharedHeight(upper, lower);
      const [above, below] = [spareOf(upper), spareOf(lower)];
      if (shared <= TOUCH || above + below < shared) continue;
      const own = Math.min(above, Math.max(shared / 2, shared - below));
      note(less, upper, 2 * own);
      note(less, lower, 2 * (shared - own));
    }
  });
  return less;
}

function note(less: Map<PageNode, number>, { node }: Line, by: number): void {
  if (by > 0) less.set(node, Math.max(by, less.get(node) ?? 0));
}

/** How far a line reaches into the one under it, px; 0 for what stands beside it or lies on it. */
function sharedHeight({ box }: Line, { box: under }: Line): number {
  const isBeside = Math.min(right(box), right(under)) - Math.max(box.x, under.x) <= TOUCH;
  return isBeside || under.y - box.y < box.height / 2 ? 0 : bottom(box) - under.y;
}

/** Px that a line can lose above, and as many below; none of a paragraph, whose line height is known. */
function spareOf({ node }: Line): number {
  const { type } = node.look;
  if (!type || node.lines.length !== 1 || type.lineHeight === null) return 0;
  return Math.max(0, (type.lineHeight - TIGHTEST * type.size) / 2);
}
