import { isCellRole, type Role } from '../../../../sort/vocabulary';
import { withChildren } from '../../../mapBoxes';
import type { PageNode } from '../../../node';
import { isWholeTable } from '../../../tableParts';

/**
 * A node in which rows stand in tables and cells in rows (ARIA, required context role): anywhere else they are what they
 * show.
 * @param around the role of the box around; null for none
 */
export function withoutStrayParts(node: PageNode, around: Role | null): PageNode {
  const isStray =
    (node.role === 'table' && !isWholeTable(node)) ||
    (node.role === 'row' && around !== 'table') ||
    (isCellRole(node.role) && around !== 'row');
  const role = isStray && !node.roleSaid ? (node.kind === 'text' ? 'text' : 'box') : node.role;
  const own = role === node.role ? node : { ...node, role };
  return own.kind === 'box'
    ? withChildren(
        own,
        own.children.map((child) => withoutStrayParts(child, role)),
      )
    : own;
}
