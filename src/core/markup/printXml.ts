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
  return Object.entries(node.attributes)
    .map(([name, value]) => ` ${name}="${value === true ? name : escapeAttribute(value)}"`)
    .join('');
}

function escapeText(text: string): string {
  return legal(text).replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
}

function escapeAttribute(text: string): string {
  return escapeText(text)
    .replaceAll('"', '&quot;')
    .replace(/[\n\r\t]/g, (space) => `&#${space.charCodeAt(0)};`);
}

function legal(text: string): string {
  // eslint-disable-next-line no-control-regex -- XML 1.0, §2.2: these characters may not stand in a document
  return text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '');
}
