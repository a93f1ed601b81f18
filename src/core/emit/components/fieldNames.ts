import { freeName } from '../../markup/freeName';
import { safeName } from '../../sort/outputNames';
import { camelCase } from './identifiers';

/** What an element without a class of its own is called in a component (common practice, no source). */
const BY_ELEMENT: Readonly<Record<string, string>> = {
  h1: 'title',
  h2: 'title',
  h3: 'title',
  h4: 'title',
  h5: 'title',
  h6: 'title',
  a: 'link',
  button: 'button',
  img: 'picture',
  picture: 'picture',
  input: 'field',
  textarea: 'field',
  label: 'label',
  li: 'item',
  dt: 'term',
  dd: 'description',
  td: 'cell',
  th: 'heading',
};

/** Words whose form says what they are (common practice, no source). */
const BY_WORDS: readonly (readonly [name: string, words: RegExp])[] = [
  ['time', /^\d{1,2}[:.]\d{2}(?:\s*[ap]\.?m\.?)?$/i],
  [
    'date',
    /^(?:\d{4}-\d{2}-\d{2}|\d{1,2}[./]\d{1,2}[./]\d{2,4}|\d{1,2}\.? \p{L}{3,9}\.?(?: \d{4})?|\p{L}{3,9} \d{1,2}(?:, \d{4})?)$/u,
  ],
  ['price', /^(?:\p{Sc}\s*[\d.,]+(?:\s*\p{L}{1,3})?|[\d.,]+\s*(?:\p{Sc}|kr|Kč|zł|Ft|lei|[A-Z]{3}))$/u],
  ['share', /^[+-]?[\d.,]+\s*%$/],
  ['email', /^[^\s@]+@[^\s@]+\.[^\s@]+$/],
  ['number', /^[+-]?\d[\d.,\s]*$/],
];

/** What words are called by their form, where all have one. */
export function nameByWords(words: readonly string[]): string | null {
  return BY_WORDS.find(([, form]) => words.every((each) => form.test(each.trim())))?.[0] ?? null;
}

/** What an element is called by its kind, where its words are no better. */
export function nameByElement(name: string): string {
  return BY_ELEMENT[name] ?? '';
}

/** A name without that of what is around it: `sailing-row-time` in a `sailing-row` is its `time`. */
export function withinOwner(name: string, owner: string): string {
  const rest = name.startsWith(`${owner}-`) ? name.slice(owner.length + 1) : name;
  return /^[\d-]*$/.test(rest) ? name : rest;
}

/** Gives names to the fields of a component, no two the same. */
export class FieldNames {
  private readonly taken = new Set<string>();

  /** The name as a variable; a number follows where it is taken. */
  give(wanted: string): string {
    const free = camelCase(freeName(safeName(wanted) || 'field', (each) => this.taken.has(camelCase(each))));
    this.taken.add(free);
    return free;
  }
}
