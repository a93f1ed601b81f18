import { memoizeByObject } from '../mockup/memoize';
import type { PageNode } from './node';

/**
 * True for terms with descriptions and nothing else, by themselves or in plain groups: they stand in no other elements
 * (HTML, §4.4.9).
 */
export const isWholeDescriptionList = memoizeByObject(
  (list: PageNode): boolean =>
    list.kind === 'box' &&
    list.children.length > 0 &&
    (areDescribed(list.children) ||
      list.children.every(
        (group) => group.kind === 'box' && group.role === 'box' && areDescribed(group.children),
      )),
);

/** True for one or more terms with one or more descriptions after them, again and again. */
function areDescribed(parts: readonly PageNode[]): boolean {
  const marks = parts.map(({ kind, role }) =>
    kind === 'picture' ? '?' : role === 'term' ? 't' : role === 'description' ? 'd' : '?',
  );
  return /^(?:t+d+)+$/.test(marks.join(''));
}
