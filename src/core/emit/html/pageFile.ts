import type { Page } from '../../page/frame';
import { safeName } from '../../sort/outputNames';

/** The first screen is the index; the others have their own names. */
export function pageFile(pages: readonly Page[], at: number): string {
  if (at === 0) return 'index.html';
  const names = pages.map((page) => safeName(page.name) || 'screen');
  const name = names[at] ?? 'screen';
  const earlier = names.slice(1, at).filter((other) => other === name).length;
  return `${name === 'index' ? 'index-screen' : name}${earlier > 0 ? `-${earlier + 1}` : ''}.html`;
}
