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

/** The tag of one attribute; empty for an invalid value, null for an unknown attribute. */
export function parseAttribute(name: string, text: string): Tag | null {
  const reader = READERS.get(name);
  return reader ? tagOf(reader, text) : null;
}

/** The names of all attributes that say a facet. */
export function attributeNames(): readonly string[] {
  return [...READERS.keys()];
}

/** An element's own `data-*` attributes whose values are invalid, as `name=value`. */
export function invalidDataset(data: Readonly<Record<string, string>>): readonly string[] {
  return Object.entries(data).flatMap(([name, text]) => {
    const reader = READERS.get(`data-${name}`);
    const isInvalid = reader?.isOnElements && Object.keys(tagOf(reader, text)).length === 0;
    return isInvalid ? [`data-${name}=${text}`] : [];
  });
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
