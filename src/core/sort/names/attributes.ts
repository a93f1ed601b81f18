import { FACET_NAMES, FACETS, parseFacet, type Facet } from '../facets/facets';
import type { Tag } from '../tag';

interface AttributeReader {
  readonly facet: Facet;
  readonly parse: (text: string) => unknown;
  readonly isOnElements: boolean;
}

/** The facets by the names of their attributes, earlier names included. */
const READERS: ReadonlyMap<string, AttributeReader> = new Map(
  FACET_NAMES.flatMap((facet) => {
    const { attribute } = FACETS[facet];
    if (!attribute) return [];
    const { isOnElements } = attribute;
    return [attribute, attribute.earlier].flatMap((spelling) =>
      spelling ? [[spelling.name, { facet, parse: spelling.parse, isOnElements }] as const] : [],
    );
  }),
);

/** The tag of one attribute; empty for an unknown attribute or an invalid value. */
export function parseAttribute(name: string, text: string): Tag {
  const reader = READERS.get(name);
  return reader ? tagOf(reader, text) : {};
}

/** The tag of an element's own `data-*` attributes, by their names without the prefix. */
export function parseDataset(data: Readonly<Record<string, string>>): Tag {
  const tag: Tag = {};
  for (const [name, text] of Object.entries(data)) {
    const reader = READERS.get(`data-${name}`);
    if (reader?.isOnElements) Object.assign(tag, tagOf(reader, text));
  }
  return tag;
}

function tagOf({ facet, parse }: AttributeReader, text: string): Tag {
  const raw = parse(text);
  const value = raw === undefined ? undefined : parseFacet(facet, raw);
  return value === undefined ? {} : { [facet]: value };
}
