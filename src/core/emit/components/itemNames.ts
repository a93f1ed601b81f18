import type { MarkupElement } from '../../markup/element';
import { classesOf, GENERIC, type PartElement } from './likeParts';

/** What parts of something are called that have no name (common practice, no source). */
const PARTS: Readonly<Record<string, string>> = {
  a: 'link',
  button: 'button',
  dd: 'description',
  dt: 'term',
  img: 'picture',
  li: 'item',
  option: 'choice',
  p: 'text',
  span: 'text',
  tr: 'row',
};

/** Words that name no thing. */
const EMPTY = /^(?:\d+|group|item|row|copy|instance|[a-z])$/;

/**
 * The name of the like siblings of a list: their class where that is named after what is around them, else what the
 * names of their layers have in common, else any class of all, else their part in what is around them.
 * @param around the name of what is around them
 * @param nameOf the name that the mockup gives to the layer of an element
 */
export function nameOfItems(
  items: readonly PartElement[],
  around: string,
  nameOf: (element: MarkupElement) => string | null,
): string {
  const lists = items.map(({ element }) => classesOf(element));
  const isShared = (name: string) => !GENERIC.has(name) && lists.every((list) => list.includes(name));
  const common = lists[0]!.find((name) => name.startsWith(around) && isShared(name));
  if (common !== undefined) return common;
  // Layers of words are called by what they say or look like, not by what they are.
  const areWords = items.every(({ parts }) => parts.every((part) => typeof part === 'string'));
  const names = areWords ? [] : items.map(({ element }) => nameOf(element));
  const said = names.includes(null) ? '' : commonWords(names as readonly string[]);
  if (said !== '') return said;
  const shared = areWords ? undefined : lists[0]!.find(isShared);
  return shared ?? `${around}-${PARTS[items[0]!.element.name] ?? 'part'}`;
}

/** The words that all names begin with, or all end with; nothing where those say nothing. */
function commonWords(names: readonly string[]): string {
  const lists = names.map((name) => name.split('-').filter((word) => !/^\d+$/.test(word)));
  const [first = []] = lists;
  const isAt = (word: string, at: number) => lists.every((list) => list.at(at) === word);
  const before = first.findIndex((word, at) => !isAt(word, at));
  const start = first.slice(0, before === -1 ? first.length : before);
  const after = [...first].reverse().findIndex((word, at) => !isAt(word, -1 - at));
  const end = after <= 0 ? [] : first.slice(-after);
  const words = start.length >= end.length ? start : end;
  return words.every((word) => EMPTY.test(word)) ? '' : words.join('-');
}
