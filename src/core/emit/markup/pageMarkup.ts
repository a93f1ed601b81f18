import { element, type MarkupElement } from '../../markup/element';
import type { Page } from '../../page/frame';
import { pageClass } from '../../page/join/names';
import { commonGround } from '../css/base';
import { frameDeclarations } from '../css/frame';
import { type MarkupContext, inline } from './context';
import { nodeMarkup } from './nodeMarkup';
import { FLOW } from './elementNames';

/** The page's body as HTML elements. */
export function pageMarkup(page: Page, input: MarkupContext): MarkupElement {
  const context = { ...input, placed: !page.layout, ...(page.narrow && { below: page.narrow.below }) };
  // The class of a page for two screens places it.
  const own = page.narrow ? [pageClass(page)] : [];
  const attributes = {
    class: ['screen', ...own, ...(page.classes ?? [])].join(' '),
    style: page.narrow
      ? null
      : inline(frameDeclarations(page, input.pages ? commonGround(input.pages) : page.ground), context),
  };
  const children = page.children.map((node) => nodeMarkup(node, context, FLOW));
  return { ...element('div', attributes, children), origin: { layer: page.screen, merged: [] } };
}
