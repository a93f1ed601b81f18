import type { Facet, Tag } from '../tag';

/** How each facet is written between brackets; `readBrackets` reads the same. */
const PRINT: Readonly<{
  [K in Exclude<Facet, 'regions' | 'classes'>]: (value: NonNullable<Tag[K]>) => string;
}> = {
  outcome: (value) => `data-becomes=${value}`,
  role: (value) => `data-role=${value}`,
  outputName: (value) => `data-name=${quoted(value)}`,
  hidden: (value) => (value ? 'hidden' : 'hidden=false'),
  slot: (value) => `data-slot=${value}`,
  href: (value) => `href=${quoted(value)}`,
  scroll: (value) => `data-scroll=${value}`,
  contents: (value) => `data-contents=${value}`,
  gap: (value) => `data-gap=${value}`,
  wide: (value) => `data-wide=${value}`,
  note: (value) => `data-note=${quoted(value)}`,
  merge: (value) => `data-merge=${quoted(value)}`,
  state: (value) => `data-state=${value}`,
  screen: (value) => `data-screen=${value}`,
};
const ORDER = Object.keys(PRINT) as (keyof typeof PRINT)[];

/**
 * A tag in bracket syntax, so that `readBrackets` gives it back. Regions are left out, since only flat
 * pictures have them.
 */
export function printBrackets(tag: Tag): string {
  const classes = (tag.classes ?? []).map((name) => `.${name}`).join('');
  const attributes = ORDER.flatMap((facet) => printFacet(facet, tag) ?? []);
  return [classes, ...attributes].filter((part) => part !== '').join(' ');
}

function printFacet<K extends keyof typeof PRINT>(facet: K, tag: Tag): string | null {
  const value = tag[facet];
  return value === undefined ? null : PRINT[facet](value as NonNullable<Tag[K]>);
}

/** Quotes cannot stand inside of quotes: a double one becomes a single one. */
function quoted(text: string): string {
  return /^[^\s"'=\]]+$/.test(text) ? text : `"${text.replaceAll('"', "'")}"`;
}
