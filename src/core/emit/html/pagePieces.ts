import { element } from '../../markup/element';
import { printCss, type CssRule } from '../../markup/printCss';
import { printAround, printHtml } from '../../markup/printHtml';
import { memoizeLast, memoizeByObject } from '../../mockup/memoize';
import type { BoxNode, PageNode } from '../../page/node';
import type { Page } from '../../page/frame';
import { walkNodes } from '../../page/walk';
import { mainFile } from '../../pictures/picture';
import type { StyleClass } from '../../style/styleSheet';
import type { PagePiece, PagePieces } from '../preview';
import type { PreviewInput } from '../target';
import { lookClasses } from '../markup/attributes';
import { linkContext } from '../markup/linkContext';
import { pageFile } from './pageFile';
import { unitOf } from '../css/sheetOptions';
import { commonPlacement } from '../css/sharedPlacement';
import { wornSheetRules } from '../css/sheet';
import { asInSheet } from '../css/sheetTokens';
import { rulesInUnit } from '../css/units';
import { emptyBoxMarkup, nodeMarkup } from '../markup/nodeMarkup';
import { FLOW, insideOf, type Inside } from '../markup/elementNames';
import { pageMarkup } from '../markup/pageMarkup';
import { inSections, type SectionName } from '../markup/tableSections';
import { isField } from '../../page/fieldParts';
import { isCheckRole } from '../../sort/vocabulary';
import type { MarkupContext } from '../markup/context';

/** A box with more elements is a piece around others. */
const LARGE = 60;

/** Splits a page into pieces; every element has its layer in `data-layer`. */
export function pagePieces(page: Page, input: PreviewInput): PagePieces {
  const context: Context = {
    ...input,
    unit: unitOf(input),
    ...linkContext(page, input.pages, pageFile),
    keyed: true,
    placed: !page.layout,
  };
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
  return {
    rules: inBlocks(rulesInUnit(asInSheet(wornSheetRules(input), input, false), unitOf(input))).map(printCss),
    screen,
    parts,
  };
}

/** Rules one by one, but for those that share the block of a media query. */
function inBlocks(rules: readonly CssRule[]): readonly (readonly CssRule[])[] {
  const blocks: CssRule[][] = [];
  for (const rule of rules) {
    const last = blocks.at(-1);
    if (last && rule.media !== undefined && last[0]?.media === rule.media) last.push(rule);
    else blocks.push([rule]);
  }
  return blocks;
}

type Context = PreviewInput & MarkupContext;

function isLarge(node: PageNode): node is BoxNode {
  return isContainer(node) && countOf(node) > LARGE;
}

/** True for a box whose code is an element around its children. A field is printed as one. */
function isContainer(node: PageNode): node is BoxNode {
  return node.kind === 'box' && !isField(node) && !isCheckRole(node.role) && node.children.length > 0;
}

/** The number of elements in a node, itself included. */
const countOf = memoizeByObject((node: PageNode): number =>
  node.kind === 'box' ? node.children.reduce((sum, child) => sum + countOf(child), 1) : 1,
);

function openedHtml(node: BoxNode, context: Context, inside: Inside): string {
  return printHtml([emptyBoxMarkup(node, context, inside)]);
}

/** The code of a node, memoized. */
function html(node: PageNode, context: Context, inside: Inside): string {
  const { unit, placed } = context;
  const children = isContainer(node) ? node.children : [];
  const within = node.kind === 'box' ? insideOf(node, inside) : inside;
  const inner = children.map((child) => html(child, context, within));
  // What is printed as a whole depends on all that is inside.
  const parts = node.kind === 'box' && children.length === 0 ? walkNodes(node.children) : [];
  const own = [node, ...parts].flatMap((each) => printInputs(each, context));
  const from = [unit, placed, inside.phrasing, inside.interactive, ...own, ...inner];
  return lastPrinted(node, from, () => {
    if (node.kind !== 'box' || inner.length === 0) return printHtml([nodeMarkup(node, context, inside)]);
    const around = emptyBoxMarkup(node, context, inside);
    const rows = around.name === 'table' ? inSections(node, inner, printSection) : inner;
    return printAround(around, rows.join(''));
  });
}

function printSection(name: SectionName, rows: readonly string[]): string {
  return printAround(element(name), rows.join(''));
}

const lastPrinted = memoizeLast<PageNode, string>();

/** The placement of a class as text, for comparison. */
const standingText = memoizeByObject(({ placements }: StyleClass) =>
  JSON.stringify(commonPlacement(placements)),
);

/**
 * The inputs of a node's code from the rest of the page: names of files and classes, the placement in
 * classes, ids and links.
 */
function printInputs(node: PageNode, context: Context): readonly unknown[] {
  const { sheet, plan, idOf, fieldIdOf, address } = context;
  const own = sheet.classOf(node);
  const link = node.href === undefined ? undefined : address?.(node.href);
  const inputs: unknown[] = [
    ...lookClasses(node, context),
    sheet.nameClassOf(node),
    own && standingText(own),
    idOf?.(node.layer),
    link,
    fieldIdOf?.(node.layer),
    node.labelFor && fieldIdOf?.(node.labelFor),
  ];
  if (node.kind === 'picture') inputs.push(mainFile(plan, node.picture)?.path);
  if (node.kind === 'text')
    for (const { spans } of node.lines)
      for (const { look, href } of spans)
        inputs.push(sheet.classFor(look), href === undefined ? undefined : address?.(href));
  return inputs;
}
