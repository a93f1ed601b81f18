import { memoizeByObject } from '../../mockup/memoize';
import { lineText, type BoxNode, type PageNode, type TextNode } from '../node';
import type { Layout } from '../layout';

/** A paragraph is read in lines of at least this length, px (common practice, no source: about 24 letters). */
const READABLE = 160;
/** The least gap between words that stand apart, px (common practice, no source). */
const LEAST_GAP = 12;
/** Pictures up to this width keep it, px; larger ones may get this small. */
const SMALL_PICTURE = 120;

/**
 * The least width, px, in which a node still looks as it is meant: words are whole, buttons keep their line, paragraphs
 * can be read. Rows keep their parts beside each other.
 */
export const comfortOf = memoizeByObject((node: PageNode): number => {
  const { place } = node;
  if (place.kind === 'fixed') return 0;
  const { left, right } = place.margin;
  const margins = Math.max(0, left ?? 0) + Math.max(0, right ?? 0);
  return margins + ownComfort(node);
});

function ownComfort(node: PageNode): number {
  switch (node.kind) {
    case 'text':
      return comfortOfWords(node) + sides(node.layout);
    case 'picture':
      return node.place.width <= SMALL_PICTURE
        ? node.place.width
        : Math.max(SMALL_PICTURE, node.place.width / 3);
    case 'box':
      return comfortOfBox(node);
  }
}

function comfortOfBox(node: BoxNode): number {
  const { place, layout } = node;
  const isSet = place.kind === 'flow' && (place.widthMode === 'drawn' || place.widthMode === 'rigid');
  if (!layout) return isSet ? place.width : 0;
  if (place.kind === 'flow' && place.widthMode === 'rigid') return place.width;
  const least = isRegion(node) ? Math.min(REGION.width, place.width) : 0;
  const inside = Math.max(least, sides(layout) + comfortAlong(node.children, layout));
  return isSet ? Math.min(place.width, inside) : inside;
}

/** The least width, px, of a node whose parts may all stand under each other. */
export const stackedComfortOf = memoizeByObject((node: PageNode): number => {
  if (node.kind !== 'box' || !node.layout || node.place.kind === 'fixed') return comfortOf(node);
  const { place, layout, children } = node;
  const inside = sides(layout) + Math.max(0, ...flowing(children).map(stackedComfortOf));
  return place.widthMode === 'rigid' ? Math.min(place.width, comfortOf(node)) : inside;
});

/** Px from which a part is a region of the page, and no narrower (common practice, no source). */
const REGION = { width: 200, height: 120 } as const;

/** True for a part with content of its own, such as a side bar or a card. */
export function isRegion({ kind, place: { width, height } }: PageNode): boolean {
  return kind === 'box' && width >= REGION.width && height >= REGION.height;
}

/** The comfort of parts in a layout, without its padding. */
export function comfortAlong(children: readonly PageNode[], layout: Layout): number {
  const parts = flowing(children);
  if (layout.direction === 'row')
    return sum(parts.map(comfortOf)) + gapOf(layout) * Math.max(0, parts.length - 1);
  if (layout.direction === 'grid') {
    const columns = layout.tracks.map((_, column) =>
      Math.max(0, ...parts.filter((__, at) => at % layout.tracks.length === column).map(comfortOf)),
    );
    const widest = Math.max(0, ...columns);
    const isEven = layout.tracks.every(({ kind }) => kind === 'share');
    return (isEven ? widest * columns.length : sum(columns)) + layout.gap * Math.max(0, columns.length - 1);
  }
  return Math.max(0, ...parts.map(comfortOf));
}

/** The gap between parts; what shares out the free space keeps some of it. */
export function gapOf({ gap, justify }: Layout): number {
  return justify === 'between' ? Math.max(gap, LEAST_GAP) : gap;
}

/** The children that the layout places. */
export function flowing(children: readonly PageNode[]): readonly PageNode[] {
  return children.filter(({ place, hidden }) => place.kind === 'flow' && !hidden);
}

/** Px of padding at both sides. */
export function sides(layout: Layout | undefined): number {
  return layout ? layout.padding.left + layout.padding.right : 0;
}

/** True for words that never break. */
export function staysOnLine({ wraps }: Pick<TextNode, 'wraps'>): boolean {
  return wraps === 'never' || wraps === 'pressed';
}

/** The longest word; a line that never wraps is as long as it is. */
function comfortOfWords(node: TextNode): number {
  const { lines, wraps, place } = node;
  if (place.linear) return place.width;
  const longest = Math.max(0, ...lines.map(({ width }) => width));
  if (staysOnLine({ wraps })) return longest;
  const word = longestWord(node);
  return lines.length > 1 ? Math.max(word, Math.min(READABLE, longest)) : word;
}

/** The width of the longest word, px, by its share of the letters of its line and a little more. */
export function longestWord({ lines }: TextNode): number {
  const words = lines.flatMap((line) => {
    const text = lineText(line);
    return text
      .split(/\s+/)
      .map((word) => Math.min(line.width, (1.1 * line.width * word.length) / Math.max(1, text.length)));
  });
  return Math.max(0, ...words);
}

function sum(lengths: readonly number[]): number {
  return lengths.reduce((all, each) => all + each, 0);
}
