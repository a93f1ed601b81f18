import { FACET_NAMES, facetEntry, type Facet } from '../facets/facets';
import type { Tag } from '../tag';

/**
 * A tag in bracket syntax, so that `readBrackets` gives it back. Regions are left out, since only flat pictures have
 * them.
 */
export function printBrackets(tag: Tag): string {
  const classes = (tag.classes ?? []).map((name) => `.${name}`).join('');
  const attributes = FACET_NAMES.flatMap((facet) => printFacet(facet, tag) ?? []);
  return [classes, ...attributes].filter((part) => part !== '').join(' ');
}

function printFacet<F extends Facet>(facet: F, tag: Tag): string | null {
  const value = tag[facet];
  const { attribute } = facetEntry(facet);
  if (value === undefined || !attribute) return null;
  const text = attribute.print(value);
  return text === '' ? attribute.name : `${attribute.name}=${quoted(text)}`;
}

/** Quotes cannot stand inside of quotes: a double one becomes a single one. */
function quoted(text: string): string {
  return /^[^\s"'=\]]+$/.test(text) ? text : `"${text.replaceAll('"', "'")}"`;
}
