import type { SourceHints } from '../../mockup/layer';
import { isSafeHref } from '../../mockup/href';
import { isTelling, splitName } from '../../mockup/layerName';
import { elementsIn, textIn, type XmlNode } from '../xml/node';
import { PROGRAM_LABEL } from '../xml/parseXml';
import { hrefOf } from './context';

/**
 * The layer's name, by the first of: the drawing program's own label, `data-name`, `aria-label`,
 * `<title>`, `id`, the first class. Ids and classes that programs number by themselves count as none.
 */
export function readName(node: XmlNode): string | null {
  const { labels, marks } = namesOf(node);
  return labels[0] ?? marks.find(isNamed) ?? null;
}

/**
 * The name that the layer's id follows from: labels that programs number by themselves do not count, so that
 * ids from earlier readings stay.
 */
export function readIdName(node: XmlNode): string | null {
  const { labels, marks } = namesOf(node);
  return [...labels, ...marks].find(isNamed) ?? null;
}

function namesOf(node: XmlNode) {
  const { attributes } = node;
  const title = elementsIn(node).find((child) => child.name === 'title');
  const labels = [
    attributes[PROGRAM_LABEL],
    attributes['data-name'],
    attributes['aria-label'],
    title && textIn(title),
  ].flatMap((text) => text?.trim() || []);
  const marks = [attributes.id, attributes.class?.trim().split(/\s+/)[0]].flatMap(
    (text) => text?.trim() || [],
  );
  return { labels, marks };
}

/** Brackets say something also behind a name that a program gave. */
function isNamed(text: string): boolean {
  const { bare, brackets } = splitName(text);
  return isTelling(bare) || brackets !== null;
}

export function readHints(node: XmlNode): SourceHints {
  const { attributes } = node;
  const data = Object.fromEntries(
    Object.entries(attributes)
      .filter(([name]) => name.startsWith('data-'))
      .map(([name, value]) => [name.slice(5), value]),
  );
  const hints: { -readonly [K in keyof SourceHints]: SourceHints[K] } = {
    classes: attributes.class?.trim().split(/\s+/).filter(Boolean) ?? [],
    data,
  };
  if (attributes.id) hints.id = attributes.id;
  if (attributes.role) hints.role = attributes.role;
  if (attributes['aria-label']) hints.label = attributes['aria-label'];
  const href = node.name === 'a' ? safeHref(hrefOf(node)) : undefined;
  if (href !== undefined) hints.href = href;
  return hints;
}

/** The address when a page may link to it; a script address is never one. */
export function safeHref(href: string | undefined): string | undefined {
  return href !== undefined && isSafeHref(href) ? href : undefined;
}
