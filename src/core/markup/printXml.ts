import type { MarkupElement, MarkupNode } from './element';

/** The tree as compact XML. Characters that XML 1.0 does not allow are left out. */
export function printXml(node: MarkupNode): string {
  if (typeof node === 'string') return escapeText(node);
  const open = `${node.name}${printAttributes(node)}`;
  return node.children.length === 0
    ? `<${open}/>`
    : `<${open}>${node.children.map(printXml).join('')}</${node.name}>`;
}

function printAttributes(node: MarkupElement): string {
  let printed = '';
  for (const name in node.attributes) {
    const value = node.attributes[name]!;
    printed += ` ${name}="${value === true ? name : escapeAttribute(value)}"`;
  }
  return printed;
}

// eslint-disable-next-line no-control-regex -- XML 1.0, §2.2: these characters may not stand in a document
const ILLEGAL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g;
// Tested first: most texts and values have none of these characters, and a drawing has a hundred thousand
// values.
// eslint-disable-next-line no-control-regex -- the same characters, and those that mean something
const SPECIAL = /[&<>"\u0000-\u001f\ufffe\uffff]/;

function escapeText(text: string): string {
  if (!SPECIAL.test(text)) return text;
  return text.replace(ILLEGAL, '').replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
}

function escapeAttribute(text: string): string {
  if (!SPECIAL.test(text)) return text;
  return escapeText(text)
    .replaceAll('"', '&quot;')
    .replace(/[\n\r\t]/g, (space) => `&#${space.charCodeAt(0)};`);
}
