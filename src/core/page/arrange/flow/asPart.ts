import { isHeading, type Role } from '../../../sort/vocabulary';
import { anonymousBox } from '../../anonymousBox';
import type { PageNode } from '../../node';
import { placedBox } from '../../placed';

/** The parts of tables and description lists. */
export type PartRole = Extract<Role, 'cell' | 'header-cell' | 'term' | 'description'>;

const REPLACED: ReadonlySet<Role> = new Set<Role>([
  'text',
  'paragraph',
  'box',
  'item',
  'cell',
  'header-cell',
  'term',
  'description',
]);

/**
 * A node as a part of a table or a description list. Words and plain boxes are the part themselves; whatever is something
 * of its own stands in one.
 */
export function asPart(node: PageNode, role: PartRole): PageNode {
  const isPlain = REPLACED.has(node.role) || (isHeading(node.role) && !node.roleSaid);
  if (node.kind !== 'picture' && isPlain && node.href === undefined) return { ...node, role };
  return { ...anonymousBox(role, node.layer, placedBox(node.place)), role, children: [node] };
}
