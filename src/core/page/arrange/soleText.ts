import { isPlain } from '../../look/look';
import type { BoxNode, TextNode } from '../node';
import { isMeantOtherwise } from './meaning';

/** What a role can be of by itself: letters without a box around them. */
const OF_LETTERS: ReadonlySet<string> = new Set([
  ...['box', 'paragraph', 'link', 'item'],
  ...['heading-1', 'heading-2', 'heading-3', 'heading-4', 'heading-5', 'heading-6'],
]);
const PLAIN: ReadonlySet<string> = new Set(['text', 'paragraph']);

/** The text that is all a group holds, meaning what the group means; null when the group holds or shows more. */
export function soleText(group: BoxNode): TextNode | null {
  const [text, ...more] = group.children;
  if (text?.kind !== 'text' || more.length > 0 || !PLAIN.has(text.role) || !OF_LETTERS.has(group.role))
    return null;
  if (isMeantOtherwise(group) || !isPlain(group.look) || group.place.turn) return null;
  return {
    ...text,
    merged: [...(text.merged ?? []), group.layer, ...(group.merged ?? [])],
    ...(group.named && !text.named && { name: group.name, named: true }),
    ...(group.role !== 'box' && { role: group.role }),
    ...(group.href !== undefined && { href: group.href }),
  };
}
