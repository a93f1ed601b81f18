import type { BoxNode, PageNode } from '../../page/node';
import { isWholeDescriptionList } from '../../page/descriptionParts';
import { isWholeTable } from '../../page/tableParts';
import { isInteractiveElement, roleEntry } from '../../sort/vocabulary';

/** The content model of the surrounding elements (HTML, §3.2.5.2). */
export interface Inside {
  readonly phrasing: boolean;
  /** True inside a link or button. */
  readonly interactive: boolean;
  /** The part of a table right around; absent for none (HTML, §4.9). */
  readonly table?: 'table' | 'row';
  /** True in a description list and in the groups right inside of one (HTML, §4.4.9). */
  readonly describes?: true;
}

export const FLOW: Inside = { phrasing: false, interactive: false };

/** The content model inside a box. */
export function insideOf(node: BoxNode, inside: Inside): Inside {
  const name = elementName(node, inside);
  return {
    phrasing: inside.phrasing || roleEntry(node.role).phrasing,
    interactive: inside.interactive || isInteractiveElement(name),
    ...(name === 'table' && { table: 'table' as const }),
    ...(name === 'tr' && { table: 'row' as const }),
    ...((name === 'dl' || (inside.describes && name === 'div')) && { describes: true as const }),
  };
}

/** The role's element, or `span` where only phrasing content is allowed. */
export function elementName(node: PageNode, inside: Inside): string {
  const { role } = node;
  const part = inside.phrasing ? null : (tableElement(node, inside) ?? descriptionElement(node, inside));
  if (part !== null) return part;
  const { element: name, phrasing } = roleEntry(role);
  const inline = ['span', 'button', 'a', 'img', 'label'].includes(name);
  return inside.phrasing && !(phrasing && inline) && name !== 'a' ? 'span' : name;
}

/** The element of a description list or its part; `div` where it would not be whole, null for any other node. */
function descriptionElement(node: PageNode, { describes }: Inside): string | null {
  if (node.role === 'description-list') return isWholeDescriptionList(node) ? 'dl' : 'div';
  if (node.role !== 'term' && node.role !== 'description') return null;
  return describes ? roleEntry(node.role).element : 'div';
}

/** The element of a table's part, where all around and inside of it are parts of one; null for any other node. */
function tableElement(node: PageNode, { table }: Inside): string | null {
  if (node.role === 'table') return isWholeTable(node) ? 'table' : null;
  if (node.role === 'row') return table === 'table' ? 'tr' : null;
  if (table !== 'row') return null;
  return node.role === 'header-cell' ? 'th' : node.role === 'cell' ? 'td' : null;
}
