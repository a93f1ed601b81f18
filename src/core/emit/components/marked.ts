import type { Page } from '../../page/frame';
import { pageFile } from '../html/pageFile';
import { writtenMarkup } from '../implied/writtenMarkup';
import type { EmitInput } from '../target';
import type { MarkedPage } from './components';

/** The address of a page in a program with a router: the first is at the root. */
export function pageAddress(pages: readonly Page[], at: number): string {
  return at === 0 ? '/' : `/${pageFile(pages, at).replace(/\.html$/, '')}`;
}

/** The markup of all pages, with links between them as a router knows them. */
export function markedPages(input: EmitInput): readonly MarkedPage[] {
  const marked = writtenMarkup(input, pageAddress);
  return input.pages.map((page, at) => ({
    page,
    address: pageAddress(input.pages, at),
    markup: marked[at]!,
  }));
}

/** The files of pictures that modules import, by their paths in the build. */
export function filesOfBuild({ plan }: Pick<EmitInput, 'plan'>): ReadonlySet<string> {
  return new Set(plan.pictures.flatMap((picture) => picture.files.map(({ path }) => path)));
}
