import { formatNumber } from '../markup/numbers';
import type { LayerId } from '../mockup/layer';
import type { Decisions } from '../sort/decision';
import { CONTENTS_WORDS } from '../sort/facets/contents';
import { findNode } from './findNode';
import type { Page } from './frame';
import type { BoxNode, PageNode } from './node';
import type { Layout } from './layout';
import type { FlowPlace, WidthMode } from './place';
import { REWRITES } from './rewrite/rewrites';

/** One reason for the element of a layer, in a sentence for people. */
export interface Explanation {
  readonly sentence: string;
  /** The layers that it speaks of. */
  readonly layers: readonly LayerId[];
}

/**
 * Why the element of a layer is as it is: the rewrites that made it out of several layers, and the reasons of
 * its layout. Empty for a layer without an element.
 */
export function explainLayer(
  pages: readonly Page[],
  decisions: Decisions,
  layer: LayerId,
): readonly Explanation[] {
  const found = findNode(pages, decisions, layer);
  if (!found) return [];
  const { node, page } = found;
  const own = new Set([node.layer, ...(node.merged ?? [])]);
  const rewrites = (page.rewrites ?? []).filter(
    (each) => own.has(each.layer) || each.absorbed.includes(layer),
  );
  return [
    ...rewrites.map(({ rewrite, absorbed }) => ({ sentence: effectOf(rewrite), layers: absorbed })),
    ...layoutReasons(node).map((sentence) => ({ sentence, layers: [] })),
  ];
}

function effectOf(name: string): string {
  return REWRITES.find((rewrite) => rewrite.name === name)?.effect ?? '';
}

/** The reasons of a node's layout: direction, gap, padding, who grows, and its own width. */
export function layoutReasons(node: PageNode): readonly string[] {
  const { place } = node;
  const own = place.kind === 'flow' ? [widthReason(place, node)] : [];
  if (node.kind === 'text' && node.layout) return [...paddingReasons(node.layout), ...own];
  if (node.kind !== 'box') return own;
  if (!node.layout) return [...unflowingReasons(node), ...own];
  const { layout } = node;
  const flowing = node.children.filter((child) => child.place.kind === 'flow');
  return [
    directionReason(layout, flowing.length, node),
    ...gapReasons(layout, flowing, node),
    ...justifyReasons(layout),
    ...paddingReasons(layout),
    ...growReasons(flowing),
    ...looseReasons(node.children.length - flowing.length),
    ...own,
  ];
}

function unflowingReasons({ layoutOverride }: BoxNode): readonly string[] {
  const said = layoutOverride?.contents;
  return said === undefined ? [] : [`Its parts stand ${CONTENTS_WORDS[said]}, as its tag says.`];
}

function directionReason({ direction, tracks }: Layout, count: number, { layoutOverride }: BoxNode): string {
  const parts = count === 1 ? 'one part' : `${count} parts`;
  if (layoutOverride?.contents) return `${DIRECTIONS[direction]} of ${parts}, as its tag says.`;
  if (count < 2) return `${DIRECTIONS[direction]} of ${parts}.`;
  switch (direction) {
    case 'row':
      return `A row: its ${parts} are drawn beside each other.`;
    case 'column':
      return `A column: its ${parts} are drawn one below the other.`;
    case 'grid':
      return `A grid: its ${parts} line up in ${tracks.length} columns.`;
    case 'words':
      return 'Words: its parts run on one line of text.';
  }
}

const DIRECTIONS: Readonly<Record<Layout['direction'], string>> = {
  row: 'A row',
  column: 'A column',
  grid: 'A grid',
  words: 'Words',
};

function gapReasons(
  { direction, gap, rowGap }: Layout,
  flowing: readonly PageNode[],
  { layoutOverride }: BoxNode,
): readonly string[] {
  if (flowing.length < 2) return [];
  if (layoutOverride?.gap !== undefined) return [`Gap ${px(gap)}, as its tag says.`];
  const alone = flowing.filter(({ place }) => place.kind === 'flow' && hasOwnSpace(place, direction)).length;
  const common =
    gap === 0 && rowGap === 0
      ? []
      : [
          `Gap ${gap === rowGap ? px(gap) : `${px(gap)} across, ${px(rowGap)} down`}: the distance that its parts share.`,
        ];
  return alone === 0
    ? common
    : [
        ...common,
        `${alone === 1 ? 'One part has' : `${alone} parts have`} a margin: drawn at another distance.`,
      ];
}

function hasOwnSpace({ margin }: FlowPlace, direction: Layout['direction']): boolean {
  return direction === 'column' ? margin.top !== 0 : margin.left !== 0 && margin.left !== null;
}

function justifyReasons({ justify }: Layout): readonly string[] {
  const said: Readonly<Record<Layout['justify'], string | null>> = {
    start: null,
    middle: 'Its parts are centred: the space before and after them is equal.',
    end: 'Its parts are at the end: they touch its far edge, not its near one.',
    between: 'Its parts are spread: the first and the last are drawn at its edges.',
  };
  const sentence = said[justify];
  return sentence === null ? [] : [sentence];
}

function paddingReasons({ padding: { top, right, bottom, left } }: Layout): readonly string[] {
  const edges = [top, right, bottom, left];
  if (edges.every((edge) => edge === 0)) return [];
  const isEven = edges.every((edge) => edge === top);
  return [
    `Padding ${isEven ? px(top) : `${edges.map((edge) => formatNumber(edge)).join(' ')} px`}: from its edges to its content.`,
  ];
}

function growReasons(flowing: readonly PageNode[]): readonly string[] {
  const growing = flowing.filter(({ place }) => place.kind === 'flow' && place.widthMode === 'rest');
  if (growing.length === 0) return [];
  const names = growing.map(({ name }) => name).join(', ');
  return [`${names} ${growing.length === 1 ? 'takes' : 'take'} the width that the others leave.`];
}

function looseReasons(count: number): readonly string[] {
  if (count === 0) return [];
  return [
    `${count === 1 ? 'One part is' : `${count} parts are`} out of flow: the others lie above or beneath.`,
  ];
}

function widthReason({ widthMode, width }: FlowPlace, { layoutOverride }: PageNode): string {
  const said = layoutOverride?.width ? ', as its tag says' : '';
  return WIDTHS[widthMode](px(width), said);
}

const WIDTHS: Readonly<Record<WidthMode, (width: string, said: string) => string>> = {
  fit: (_, said) => `As wide as its content${said}.`,
  drawn: (width, said) => `${width} wide, as drawn${said}; it may shrink.`,
  rigid: (width, said) => `${width} wide, as drawn${said}; it never shrinks.`,
  rest: (_, said) => `As wide as the others in its row leave it${said}.`,
  full: (_, said) => `As wide as its container${said}.`,
  max: (width) => `As wide as its container, at most ${width} as drawn: longer words wrap.`,
  capped: (width) => `As wide as its words, at most ${width} as drawn: longer words wrap.`,
};

function px(value: number): string {
  return `${formatNumber(value)} px`;
}
