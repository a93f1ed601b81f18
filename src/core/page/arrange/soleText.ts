import { isPlain } from '../../look/look';
import { isHeading } from '../../sort/vocabulary';
import type { BoxNode, TextNode } from '../node';
import { isMeantOtherwise } from './meaning';

/** What a role can be of by itself: letters without a box around them. */
const OF_LETTERS: ReadonlySet<string> = new Set(['box', 'paragraph', 'link', 'item']);
const PLAIN: ReadonlySet<string> = new Set(['text', 'paragraph']);

function isOfLetters({ role }: BoxNode): boolean {
  return OF_LETTERS.has(role) || isHeading(role);
}

/** The text that is all a group holds, meaning what the group means; null when the group holds or shows more. */
export function soleText(group: BoxNode): TextNode | null {
  const [text, ...more] = group.children;
  if (text?.kind !== 'text' || more.length > 0 || !PLAIN.has(text.role) || !isOfLetters(group)) return null;
  if (isMeantOtherwise(group) || !isPlain(group.look) || group.place.turn) return null;
  return {
    ...text,
    merged: [...(text.merged ?? []), group.layer, ...(group.merged ?? [])],
    ...(group.named && !text.named && { name: group.name, named: true }),
    ...(group.role !== 'box' && { role: group.role }),
    ...(group.href !== undefined && { href: group.href }),
  };
}
