import { isPlain } from '../../look/look';
import { isHeading } from '../../sort/vocabulary';
import type { BoxNode, TextNode } from '../node';
import { hasSemanticsBesidesLink } from '../semantics';

/** Group roles that a text can take over. */
const TEXT_ROLES: ReadonlySet<string> = new Set(['box', 'paragraph', 'link', 'item']);
const PLAIN: ReadonlySet<string> = new Set(['text', 'paragraph']);

function canBeText({ role }: BoxNode): boolean {
  return TEXT_ROLES.has(role) || isHeading(role);
}

/** The only text of a group, with the group's semantics; null when the group holds or shows more. */
export function unwrapTextGroup(group: BoxNode): TextNode | null {
  const [text, ...more] = group.children;
  if (text?.kind !== 'text' || more.length > 0 || !PLAIN.has(text.role) || !canBeText(group)) return null;
  if (hasSemanticsBesidesLink(group) || !isPlain(group.look)) return null;
  return {
    ...text,
    merged: [...(text.merged ?? []), group.layer, ...(group.merged ?? [])],
    ...(((group.nameSaid && !text.nameSaid) || (group.named && !text.named)) && {
      name: group.name,
      named: true,
      ...(group.nameSaid && { nameSaid: group.nameSaid }),
    }),
    ...(group.role !== 'box' && { role: group.role }),
    ...(group.roleSaid && { roleSaid: group.roleSaid }),
    ...(group.href !== undefined && { href: group.href }),
  };
}
