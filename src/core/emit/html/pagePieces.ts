import { printCss } from '../../markup/printCss';
import { printHtml } from '../../markup/printHtml';
import { lastMade } from '../../mockup/remember';
import { walkNodes, type Page, type PageNode } from '../../page/node';
import type { EmitInput } from '../target';
import { sheetOf } from './html';
import { nodeMarkup, pageMarkup } from './pageMarkup';

/** A page in pieces, so that an edit need not write all of it anew. */
export interface PagePieces {
  /** The style sheet, rule by rule. */
  readonly rules: readonly string[];
  /** The element around everything, empty. */
  readonly screen: string;
  /** What stands in it, in order; a part that an edit leaves alone has the very same text. */
  readonly parts: readonly PagePiece[];
}

export interface PagePiece {
  /** Not the same for two parts of a page. */
  readonly id: string;
  readonly html: string;
}

/** Writes a page in pieces; every element says which layer it comes from. */
export function pagePieces(page: Page, input: EmitInput): PagePieces {
  const context = { ...input, keyed: true, placed: !page.layout };
  const ids = new Map<string, number>();
  const parts = page.children.map((node): PagePiece => {
    const count = (ids.get(node.layer) ?? 0) + 1;
    ids.set(node.layer, count);
    const html = lastPrinted(node, [wornBy(node, input), input.unit, context.placed], () =>
      printHtml([nodeMarkup(node, context)]),
    );
    return { id: `${node.layer}#${count}`, html };
  });
  const screen = printHtml([pageMarkup({ ...page, children: [] }, context)]);
  return { rules: sheetOf(input).map((rule) => printCss([rule])), screen, parts };
}

const lastPrinted = lastMade<PageNode, string>();

/** What the code of a node takes from the rest of the page: names of classes and files. */
function wornBy(root: PageNode, { sheet, plan }: EmitInput): string {
  const worn: (string | undefined)[] = [];
  for (const node of walkNodes([root])) {
    worn.push(sheet.classOf(node)?.name);
    if (node.kind === 'picture')
      worn.push(plan.pictures.find(({ name }) => name === node.picture)?.files[0]?.path);
    if (node.kind === 'text')
      for (const { look } of node.lines.flatMap(({ spans }) => spans)) worn.push(sheet.classFor(look) ?? '');
  }
  return worn.join('\n');
}
