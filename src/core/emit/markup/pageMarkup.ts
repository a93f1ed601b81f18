import { element, type MarkupElement } from '../../markup/element';
import type { Page } from '../../page/frame';
import { pageClass } from '../../page/join/names';
import { commonGround } from '../css/base';
import { frameDeclarations } from '../css/frame';
import { framesOf } from '../css/frames';
import { type MarkupContext, inline } from './context';
import { nodeMarkup } from './nodeMarkup';
import { FLOW } from './elementNames';

/** The page's body as HTML elements. */
export function pageMarkup(page: Page, input: MarkupContext): MarkupElement {
  const context = { ...input, placed: !page.layout, ...(page.narrow && { below: page.narrow.below }) };
  const { pages, sheet } = input;
  // Rules place a page in the flow; at fixed coordinates its element says its own size.
  const flowing = page.layout && pages ? framesOf({ pages, sheet }) : null;
  const own = page.narrow ? pageClass(page) : flowing?.classOf(page);
  const attributes = {
    class: ['screen', ...(own ? [own] : []), ...(page.classes ?? [])].join(' '),
    style:
      page.narrow || flowing
        ? null
        : inline(frameDeclarations(page, pages ? commonGround(pages) : page.ground), context),
  };
  const children = page.children.map((node) => nodeMarkup(node, context, FLOW));
  return { ...element('div', attributes, children), origin: { layer: page.screen, merged: [] } };
}
