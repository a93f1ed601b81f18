import { SaxesParser, type SaxesTagNS } from 'saxes';
import { LIMITS } from '../limits';
import { ReadError } from '../readError';
import type { XmlNode } from './node';

const SVG_NAMESPACE = 'http://www.w3.org/2000/svg';
const KNOWN_ATTRIBUTE_NAMESPACES: Readonly<Record<string, string>> = {
  'http://www.w3.org/1999/xlink': 'xlink',
  'http://www.w3.org/XML/1998/namespace': 'xml',
};

/** The attribute that holds the name which the drawing program shows. */
export const PROGRAM_LABEL = 'program:label';

interface OpenNode extends XmlNode {
  readonly children: (OpenNode | string)[];
}

/**
 * Reads XML into a tree. Entities that only stand for text are filled in; nothing outside is fetched.
 * @throws ReadError with line and column when the XML is broken, too deep or too large.
 */
export function parseXml(source: string): XmlNode {
  // `fileName` makes saxes track positions in its messages; the position is given apart instead.
  const parser = new SaxesParser({ xmlns: true, position: true });
  const open: OpenNode[] = [];
  let root: OpenNode | null = null;
  let elements = 0;
  let characters = 0;

  const count = (text: string): string => {
    characters += text.length;
    if (characters > LIMITS.characters) throw new ReadError('too-many-layers', { limit: LIMITS.elements });
    return text;
  };
  const append = (text: string) => {
    const parent = open.at(-1);
    if (parent) parent.children.push(count(text));
  };

  parser.on('error', (error) => {
    throw new ReadError('broken-xml', {
      line: parser.line,
      column: parser.column,
      what: error.message.replace(/^(undefined:)?\d+:\d+: /, '').replace(/\.$/, ''),
    });
  });
  parser.on('doctype', (doctype) => fillEntities(parser.ENTITIES, doctype));
  parser.on('opentag', (tag) => {
    if (++elements > LIMITS.elements) throw new ReadError('too-many-layers', { limit: LIMITS.elements });
    if (open.length >= LIMITS.depth)
      throw new ReadError('too-deep', { limit: LIMITS.depth, line: parser.line });
    const parent = open.at(-1) ?? null;
    const node: OpenNode = {
      name: localName(tag),
      attributes: attributesOf(tag, count),
      children: [],
      parent,
      line: parser.line,
      tagEnd: parser.position,
    };
    if (parent) parent.children.push(node);
    else root ??= node;
    open.push(node);
  });
  parser.on('closetag', () => {
    open.pop();
  });
  parser.on('text', append);
  parser.on('cdata', append);
  parser.write(fillMarkup(source)).close();
  if (!root) throw new ReadError('unknown', { what: 'there is no element in it' });
  return root;
}

function localName(tag: SaxesTagNS): string {
  // Files without the namespace are common in the wild, and drawing programs open them.
  return tag.uri === SVG_NAMESPACE || tag.uri === ''
    ? tag.local
    : tag.name.includes(':')
      ? tag.name
      : `other:${tag.local}`;
}

function attributesOf(tag: SaxesTagNS, count: (text: string) => string): Record<string, string> {
  const attributes: Record<string, string> = {};
  for (const attribute of Object.values(tag.attributes)) {
    if (attribute.prefix === 'xmlns' || attribute.name === 'xmlns') continue;
    const prefix = attribute.uri === '' ? '' : KNOWN_ATTRIBUTE_NAMESPACES[attribute.uri];
    if (prefix !== undefined)
      attributes[prefix ? `${prefix}:${attribute.local}` : attribute.local] = count(attribute.value);
    // Of what a drawing program notes for itself, only the name that it shows for the layer matters.
    else if (attribute.local === 'label') attributes[PROGRAM_LABEL] = count(attribute.value);
  }
  return attributes;
}

const ENTITY = /<!ENTITY\s+([\w.:-]+)\s+(["'])(.*?)\2\s*>/gs;

/** Takes the internal entities that are plain text; those that refer to others or to files stay undefined, an error. */
function fillEntities(entities: Record<string, string>, doctype: string): void {
  for (const [, name, , value] of doctype.matchAll(ENTITY)) {
    if (name && value !== undefined && !/[&%<]/.test(value) && value.length <= LIMITS.entityLength) {
      entities[name] = value;
    }
  }
}

/** Puts in internal entities that hold elements. One that refers to another is never filled, so they cannot multiply. */
export function fillMarkup(source: string): string {
  const head = /^[^<]*(?:<\?.*?\?>\s*|<!--.*?-->\s*)*<!DOCTYPE[^[>]*\[(.*?)\]\s*>/s.exec(source);
  if (!head?.[1]?.includes('<!ENTITY')) return source;
  let room = LIMITS.entityMarkup;
  let filled = source.slice(head[0].length);
  for (const [, name, , value = ''] of head[1].matchAll(ENTITY)) {
    if (!value.includes('<') || /[&%]/.test(value)) continue;
    filled = filled.replaceAll(`&${name};`, (reference) => {
      room -= value.length;
      return room < 0 ? reference : value;
    });
  }
  return head[0] + filled;
}
