import type { MarkupElement } from '../../markup/element';

/** An element of a page, as selectors see it. */
export interface OutlineElement {
  readonly name: string;
  readonly classes: ReadonlySet<string>;
  readonly parent: OutlineElement | null;
  readonly previous: OutlineElement | null;
  readonly isLast: boolean;
  /** Its place among the elements of its parent, from 1 on. */
  readonly index: number;
}

/** All elements of pages, each before those inside of it. */
export function outlineOf(roots: readonly MarkupElement[]): readonly OutlineElement[] {
  return roots.flatMap((root) => elementsOf([root], null));
}

function elementsOf(
  siblings: readonly MarkupElement[],
  parent: OutlineElement | null,
): readonly OutlineElement[] {
  let previous: OutlineElement | null = null;
  const all: OutlineElement[] = [];
  for (const [at, { name, attributes, children }] of siblings.entries()) {
    const classes = typeof attributes.class === 'string' ? attributes.class.split(' ') : [];
    const own: OutlineElement = {
      name,
      classes: new Set(classes),
      parent,
      previous,
      isLast: at === siblings.length - 1,
      index: at + 1,
    };
    all.push(own);
    const inner = children.filter((child): child is MarkupElement => typeof child !== 'string');
    for (const each of elementsOf(inner, own)) all.push(each);
    previous = own;
  }
  return all;
}
