import type { BoxNode } from '../../page/node';
import { isInteractiveElement, roleEntry, type Role } from '../../sort/vocabulary';

/** The content model of the surrounding elements (HTML, §3.2.5.2). */
export interface Inside {
  readonly phrasing: boolean;
  /** True inside a link or button. */
  readonly interactive: boolean;
}

export const FLOW: Inside = { phrasing: false, interactive: false };

/** The content model inside a box. */
export function insideOf({ role }: BoxNode, inside: Inside): Inside {
  return {
    phrasing: inside.phrasing || roleEntry(role).phrasing,
    interactive: inside.interactive || isInteractiveElement(elementName(role, inside)),
  };
}

/** The role's element, or `span` where only phrasing content is allowed. */
export function elementName(role: Role, inside: Inside): string {
  const { element: name, phrasing } = roleEntry(role);
  const inline = ['span', 'button', 'a', 'img', 'label'].includes(name);
  return inside.phrasing && !(phrasing && inline) && name !== 'a' ? 'span' : name;
}
