import type { MarkupElement, MarkupNode } from '../../markup/element';
import { alignSequences } from './alignSequences';

/** A piece of markup in which like siblings are gathered in lists. */
export type Part = string | PartElement | PartList;

export interface PartElement {
  readonly element: MarkupElement;
  readonly parts: readonly Part[];
}

export interface PartList {
  readonly items: readonly PartElement[];
}

export function isPartList(part: Part): part is PartList {
  return typeof part !== 'string' && 'items' in part;
}

/** Elements that are parts of something by name: two of them are a list (HTML, §4.4.8, §4.9 and §4.10). */
const LISTED = new Set(['li', 'tr', 'option', 'dd', 'dt']);

/** Elements that differ by what they mean, not by their row (HTML, §4.9.9). */
const NEVER_LISTED = new Set(['td', 'th', 'br', 'source']);

/** The share of their elements that like siblings have in common, at least. */
const LIKE_SHARE = 0.65;

/** The least number of like siblings that are a list, when each is one or few elements. */
const LEAST_SMALL = 3;

/** The least number of elements in each of two siblings that are a list. */
const LEAST_LARGE = 4;

/** Which like siblings a target has lists of. */
export interface ListLimits {
  /** How many lists may be within each other. */
  readonly mostNested: number;
  /** True where the rows of a list may differ between the uses of a block that screens share. */
  readonly inShared: boolean;
  /** How many elements an item has at least. */
  readonly leastElements: number;
}

/** An element with its like siblings gathered, at every depth. */
export function gatherLists(element: MarkupElement, limits: ListLimits): PartElement {
  const parts = joinWords(element.children).map((child) =>
    typeof child === 'string' ? child : gatherLists(child, limits),
  );
  return {
    element,
    parts: element.inline || hasWords(element.children) ? parts : gatherSiblings(parts, limits),
  };
}

/** Children whose neighbouring words are one. */
function joinWords(children: readonly MarkupNode[]): readonly MarkupNode[] {
  const joined: MarkupNode[] = [];
  for (const child of children) {
    const last = joined.at(-1);
    if (typeof child === 'string' && typeof last === 'string') joined[joined.length - 1] = last + child;
    else joined.push(child);
  }
  return joined;
}

function hasWords(children: readonly MarkupNode[]): boolean {
  return children.some((child) => typeof child === 'string');
}

function gatherSiblings(parts: readonly Part[], { mostNested, leastElements }: ListLimits): readonly Part[] {
  const gathered: Part[] = [];
  for (let at = 0; at < parts.length;) {
    const run = runFrom(parts, at);
    const isGathered =
      isList(run) &&
      run.every((item) => listDepth(item) < mostNested) &&
      run.some((item) => sizeOf(item) >= leastElements);
    if (isGathered) gathered.push({ items: run });
    else gathered.push(...parts.slice(at, at + 1));
    at += isGathered ? run.length : 1;
  }
  return gathered;
}

/** Siblings that are alike, from one on. */
function runFrom(parts: readonly Part[], at: number): readonly PartElement[] {
  const first = parts[at];
  if (first === undefined || typeof first === 'string' || isPartList(first)) return [];
  const run = [first];
  for (let next = at + 1; next < parts.length; next++) {
    const part = parts[next]!;
    if (typeof part === 'string' || isPartList(part) || !areAlike(first, part)) break;
    run.push(part);
  }
  return run;
}

function isList(run: readonly PartElement[]): boolean {
  const [first, second] = run;
  if (!first || !second || NEVER_LISTED.has(first.element.name)) return false;
  const isEnough =
    LISTED.has(first.element.name) ||
    run.length >= LEAST_SMALL ||
    run.every((item) => sizeOf(item) >= LEAST_LARGE);
  return isEnough && run.some((item) => contentOf(item) !== contentOf(first));
}

/** How many lists are within each other in a part. */
function listDepth(part: Part): number {
  if (typeof part === 'string') return 0;
  if (isPartList(part)) return 1 + Math.max(...part.items.map(listDepth));
  return Math.max(0, ...part.parts.map(listDepth));
}

function sizeOf({ parts }: PartElement): number {
  return parts.reduce((sum: number, part) => sum + partSize(part), 1);
}

function partSize(part: Part): number {
  if (typeof part === 'string') return 0;
  return isPartList(part) ? part.items.reduce((sum, item) => sum + sizeOf(item), 0) : sizeOf(part);
}

/** All that a part says apart from its layers. */
function contentOf(part: Part): string {
  if (typeof part === 'string') return part;
  if (isPartList(part)) return part.items.map(contentOf).join(' ');
  return `<${part.element.name}${JSON.stringify(part.element.attributes)}${part.parts.map(contentOf).join(' ')}>`;
}

/** Like siblings: of one element and class, with mostly the same parts in the same order. */
function areAlike(one: PartElement, other: PartElement): boolean {
  if (keyOf(one) !== keyOf(other)) return false;
  const [classes, others] = [classesOf(one.element), classesOf(other.element)];
  const isOneThing = LISTED.has(one.element.name) || classes.some((name) => others.includes(name));
  if (!isOneThing) return false;
  return 2 * commonSize(one, other) >= LIKE_SHARE * (sizeOf(one) + sizeOf(other));
}

/** The number of elements that two have in common, in the same order at every depth. */
function commonSize(one: PartElement, other: PartElement): number {
  return alignSequences([one.parts, other.parts], keyOf).reduce((sum, [first, second]) => {
    if (!first || !second || typeof first === 'string' || typeof second === 'string') return sum;
    if (!isPartList(first) && !isPartList(second)) return sum + commonSize(first, second);
    // Lists of one thing are alike however long they are.
    return sum + Math.min(partSize(first), partSize(second));
  }, 1);
}

/** What aligned parts have in common: their element, and the key of one whose inner parts are no elements of their own. */
export function keyOf(part: Part): string {
  if (typeof part === 'string') return 'text';
  if (isPartList(part)) return `list of ${keyOf(part.items[0]!)}`;
  const { name, attributes } = part.element;
  return typeof attributes.key === 'string' ? `${name} ${attributes.key}` : name;
}

/** The class names of an element. */
export function classesOf({ attributes }: MarkupElement): readonly string[] {
  return typeof attributes.class === 'string' ? attributes.class.split(' ') : [];
}

/** Classes that say nothing of what an element is. */
export const GENERIC: ReadonlySet<string> = new Set(['control', 'flow', 'run', 'screen']);
