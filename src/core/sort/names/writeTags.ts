import type { LayerId } from '../../mockup/layer';
import { decodeText } from '../../read/decodeText';
import { readSvg } from '../../read/svg/readSvg';
import type { XmlNode } from '../../read/xml/node';
import { fillMarkup } from '../../read/xml/parseXml';
import type { FontBook } from '../../type/fontBook';
import type { Tags } from '../tag';
import { printBrackets } from './printBrackets';
import { readBrackets } from './readBrackets';

const ATTRIBUTE = 'data-tags';
const EARLIER = new RegExp(`\\s${ATTRIBUTE}\\s*=\\s*(?:"[^"]*"|'[^']*')`);

/**
 * The mockup's own SVG with the tags written as `data-tags` on the elements of their layers, so that reading
 * it again gives the same tags. Nothing else of the file changes.
 * @param tags the tags of persons
 * @throws ReadError when the file is no usable SVG
 */
export function writeTags(bytes: Uint8Array, name: string, book: FontBook, tags: Tags): string {
  const source = fillMarkup(decodeText(bytes));
  const elements = new Map<LayerId, XmlNode>();
  readSvg(bytes, name, book, undefined, (key, node) => {
    if (!elements.has(key)) elements.set(key, node);
  });
  const places = [...tags].flatMap(([key, tag]) => {
    const node = elements.get(key);
    if (!node) return [];
    const earlier = node.attributes[ATTRIBUTE];
    // Tags already in the file stay where no other value is set.
    const text = printBrackets({ ...(earlier !== undefined && readBrackets(earlier)), ...tag });
    return text === '' ? [] : [{ end: node.tagEnd, text }];
  });
  // An element that is shown several times holds the tags of all its copies.
  const byEnd = new Map(places.map((place) => [place.end, place.text]));
  const parts: string[] = [];
  let from = 0;
  for (const [end, text] of [...byEnd].sort(([one], [other]) => one - other)) {
    const start = source.lastIndexOf('<', end - 1);
    parts.push(source.slice(from, start), withTags(source.slice(start, end), text));
    from = end;
  }
  parts.push(source.slice(from));
  return parts.join('').replace(/^(<\?xml[^>]*encoding=["'])[\w-]+/, '$1UTF-8');
}

function withTags(tag: string, text: string): string {
  const bare = tag.replace(EARLIER, '');
  const end = bare.endsWith('/>') ? '/>' : '>';
  const escaped = text.replaceAll('&', '&amp;').replaceAll('"', '&quot;').replaceAll('<', '&lt;');
  return `${bare.slice(0, -end.length).trimEnd()} ${ATTRIBUTE}="${escaped}"${end}`;
}
