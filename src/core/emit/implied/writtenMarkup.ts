import type { MarkupElement } from '../../markup/element';
import { unitOf } from '../css/sheetOptions';
import { linkContext, type AddressOfPage } from '../markup/linkContext';
import { pageMarkup } from '../markup/pageMarkup';
import type { EmitInput } from '../target';
import { impliedClasses } from './impliedClasses';

/** The markup of all pages as it is written: no element wears a class that its place implies. */
export function writtenMarkup(input: EmitInput, addressOfPage: AddressOfPage): readonly MarkupElement[] {
  const { pages } = input;
  const unit = unitOf(input);
  const marked = pages.map((page) =>
    pageMarkup(page, { ...input, unit, ...linkContext(page, pages, addressOfPage) }),
  );
  return marked.map(impliedClasses(input, marked).inMarkup);
}
