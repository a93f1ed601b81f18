import { memoizeByObject } from '../mockup/memoize';
import type { Page } from '../page/frame';
import { nodeWords, type PageNode } from '../page/node';
import { pageNodes } from '../page/walk';
import { safeName } from '../sort/outputNames';

/** Words that a name can do without (common practice, no source). */
const SMALL_WORDS: ReadonlySet<string> = new Set(
  'the a an of to and or in on at by for from with is are be was it its this that your our you we as'.split(
    ' ',
  ),
);
/** The most words and characters of a name by words. */
const MOST_WORDS = 3;
const LONGEST = 24;
const SHORTEST = 3;

/** A class's words by its key; null where its users say different things, or nothing. */
export type WordsOf = (mark: string) => string | null;

/**
 * What the users of classes say. It is looked up once a name has to be told from another, which few classes need.
 * @param markOf the key of a node's class; null for none
 */
export function wordsOfClasses(pages: readonly Page[], markOf: (node: PageNode) => string | null): WordsOf {
  let known: ReadonlyMap<string, string | null> | null = null;
  return (mark) => {
    known ??= collect(pages, markOf);
    return known.get(mark) ?? null;
  };
}

function collect(
  pages: readonly Page[],
  markOf: (node: PageNode) => string | null,
): ReadonlyMap<string, string | null> {
  const said = new Map<string, string | null>();
  for (const page of pages) {
    for (const node of pageNodes(page)) {
      const mark = markOf(node);
      if (mark === null) continue;
      const words = firstWords(node);
      said.set(mark, said.has(mark) && said.get(mark) !== words ? null : words);
    }
  }
  return said;
}

/** The words of a text, or of the first text in a box, as a name. */
const firstWords = memoizeByObject((node: PageNode): string | null => {
  if (node.kind === 'text') return nameOfWords(nodeWords(node));
  if (node.kind !== 'box') return null;
  for (const child of node.children) {
    const words = firstWords(child);
    if (words !== null) return words;
  }
  return null;
});

/** The first telling words as a name; null for none. */
export function nameOfWords(text: string): string | null {
  const words = safeName(text)
    .split('-')
    .filter((word) => !SMALL_WORDS.has(word) && !/^\d+$/.test(word));
  let name = '';
  for (const word of words.slice(0, MOST_WORDS)) {
    const longer = name === '' ? word : `${name}-${word}`;
    if (longer.length > LONGEST) break;
    name = longer;
  }
  return name.length >= SHORTEST && /^[a-z]/i.test(name) ? name : null;
}
