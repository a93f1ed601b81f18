import { freeName } from '../../markup/freeName';
import type { Page } from '../../page/frame';
import { fileName, safeName } from '../../sort/outputNames';

/** The first screen is the index; the others have their own names, no two the same. */
export function pageFile(pages: readonly Page[], at: number): string {
  return pageFiles(pages)[at] ?? 'index.html';
}

function pageFiles(pages: readonly Page[]): readonly string[] {
  const taken = new Set<string>();
  return pages.map((page, at) => {
    const wanted = at === 0 ? 'index' : fileName(safeName(page.name) || 'screen', 'screen');
    const name = freeName(wanted, (each) => taken.has(each));
    taken.add(name);
    return `${name}.html`;
  });
}
