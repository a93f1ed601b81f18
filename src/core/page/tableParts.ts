import { memoizeByObject } from '../mockup/memoize';
import { isCellRole } from '../sort/vocabulary';
import type { PageNode } from './node';

/** True for rows of cells and nothing else: elements of a table stand in no other ones (HTML, §4.9). */
export const isWholeTable = memoizeByObject(
  (table: PageNode): boolean =>
    table.kind === 'box' &&
    table.children.length > 0 &&
    table.children.every(
      (row) =>
        row.kind === 'box' &&
        row.role === 'row' &&
        row.children.length > 0 &&
        row.children.every(({ kind, role }) => kind !== 'picture' && isCellRole(role)),
    ),
);
