import { printCss } from '../../markup/printCss';
import { printAround, printHtml } from '../../markup/printHtml';
import type { LayerKey } from '../../mockup/layer';
import { lastMade, rememberOf } from '../../mockup/remember';
import { type BoxNode, type Page, type PageNode } from '../../page/node';
import { pictureNamed } from '../../pictures/picture';
import type { StyleClass } from '../../style/styleSheet';
import type { EmitInput } from '../target';
import { commonStanding } from './standing';
import { sheetOf } from './html';
import {
  emptyBoxMarkup,
  FLOW,
  insideOf,
  nodeMarkup,
  pageMarkup,
  type Inside,
  type MarkupContext,
} from './pageMarkup';

/** A page in pieces, so that an edit need not write all of it anew. */
export interface PagePieces {
  /** The style sheet, rule by rule. */
  readonly rules: readonly string[];
  /** The element around everything, empty. */
  readonly screen: string;
  /** What stands in it, in the order of the code. */
  readonly parts: readonly PagePiece[];
}

/** Where a piece of a page stands. */
export interface PiecePlace {
  /** Not the same for two pieces of a page. */
  readonly id: string;
  /** The piece that it stands in; null for the screen. */
  readonly within: string | null;
  /** True for an empty element that other pieces stand in. */
  readonly isOpen: boolean;
}

export interface PagePiece extends PiecePlace {
  /** The layer that it comes from. */
  readonly layer: LayerKey;
  /** Its code, written when it is asked for; of a piece that an edit leaves alone the very same text. */
  readonly html: () => string;
}

/** A box with more elements in it than this is one piece around others. */
const LARGE = 60;

/** Writes a page in pieces; every element says which layer it comes from. */
export function pagePieces(page: Page, input: EmitInput): PagePieces {
  const context: Context = { ...input, keyed: true, placed: !page.layout };
  const ids = new Map<string, number>();
  const parts: PagePiece[] = [];
  const add = (node: PageNode, inside: Inside, within: string | null): void => {
    const count = (ids.get(node.layer) ?? 0) + 1;
    ids.set(node.layer, count);
    const id = `${node.layer}#${count}`;
    const isOpen = isLarge(node);
    parts.push({
      id,
      within,
      isOpen,
      layer: node.layer,
      html: () => (isOpen ? openedHtml(node, context, inside) : html(node, context, inside)),
    });
    if (isOpen) for (const child of node.children) add(child, insideOf(node, inside), id);
  };
  for (const node of page.children) add(node, FLOW, null);
  const screen = printHtml([pageMarkup({ ...page, children: [] }, context)]);
  return { rules: sheetOf(input).map((rule) => printCss([rule])), screen, parts };
}

type Context = EmitInput & MarkupContext;

function isLarge(node: PageNode): node is BoxNode {
  return isContainer(node) && countOf(node) > LARGE;
}

/** True for a box whose code is an element around that of its children; the words of a field are written as what its element is. */
function isContainer(node: PageNode): node is BoxNode {
  return node.kind === 'box' && node.role !== 'field' && node.children.length > 0;
}

/** How many elements there are in a node, itself among them. */
const countOf = rememberOf((node: PageNode): number =>
  node.kind === 'box' ? node.children.reduce((sum, child) => sum + countOf(child), 1) : 1,
);

function openedHtml(node: BoxNode, context: Context, inside: Inside): string {
  return printHtml([emptyBoxMarkup(node, context, inside)]);
}

/** The code of a node; what is the same as the last time is the very same text. */
function html(node: PageNode, context: Context, inside: Inside): string {
  const { unit, placed } = context;
  const children = isContainer(node) ? node.children : [];
  const within = node.kind === 'box' ? insideOf(node, inside) : inside;
  const inner = children.map((child) => html(child, context, within));
  const from = [unit, placed, inside.phrasing, inside.interactive, ...wornBy(node, context), ...inner];
  return lastPrinted(node, from, () =>
    node.kind === 'box' && inner.length > 0
      ? printAround(emptyBoxMarkup(node, context, inside), inner.join(''))
      : printHtml([nodeMarkup(node, context, inside)]),
  );
}

const lastPrinted = lastMade<PageNode, string>();

/** What a class says of how its wearers stand, as a text to compare it by. */
const standingText = rememberOf(({ standings }: StyleClass) => JSON.stringify(commonStanding(standings)));

/** What the code of a node takes from the rest of the page: names of files and classes, and what a class says of how it stands. */
function wornBy(node: PageNode, { sheet, plan }: EmitInput): readonly unknown[] {
  const own = sheet.classOf(node);
  const worn: unknown[] = [own?.name, own && standingText(own)];
  if (node.kind === 'picture') worn.push(pictureNamed(plan, node.picture)?.files[0]?.path);
  if (node.kind === 'text')
    for (const { spans } of node.lines) for (const { look } of spans) worn.push(sheet.classFor(look));
  return worn;
}
