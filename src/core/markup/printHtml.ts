import type { MarkupElement, MarkupNode } from './element';

/** Elements without content or end tag (HTML, §13.1.2). */
const VOID = new Set([
  'area',
  'base',
  'br',
  'col',
  'embed',
  'hr',
  'img',
  'input',
  'link',
  'meta',
  'source',
  'track',
  'wbr',
]);

/**
 * The tree as HTML, one element a line, indented by two spaces. An element with inline content stands on one
 * line, since white space inside it is visible.
 */
export function printHtml(nodes: readonly MarkupNode[], indent = 0): string {
  return nodes.map((node) => printBlock(node, '  '.repeat(indent))).join('');
}

/** An element around code that is already printed. That code keeps its indentation. */
export function printAround(node: MarkupElement, inner: string, margin = ''): string {
  return `${printNote(node, margin)}${margin}${openTag(node)}\n${inner}${margin}</${node.name}>\n`;
}

function printBlock(node: MarkupNode, margin: string): string {
  if (typeof node === 'string') return `${margin}${escapeText(node)}\n`;
  if (isInline(node)) return `${printNote(node, margin)}${margin}${printInline(node)}\n`;
  return printAround(node, node.children.map((child) => printBlock(child, `${margin}  `)).join(''), margin);
}

function printNote({ note }: MarkupElement, margin: string): string {
  return note === undefined ? '' : `${margin}<!-- ${escapeComment(note)} -->\n`;
}

function isInline(node: MarkupElement): boolean {
  return (
    node.inline === true ||
    node.children.length === 0 ||
    node.children.some((child) => typeof child === 'string')
  );
}

function printInline(node: MarkupNode): string {
  if (typeof node === 'string') return escapeText(node);
  if (VOID.has(node.name)) return openTag(node);
  return `${openTag(node)}${node.children.map(printInline).join('')}</${node.name}>`;
}

function openTag(node: MarkupElement): string {
  let open = `<${node.name}`;
  for (const name in node.attributes) {
    const value = node.attributes[name]!;
    open += value === true ? ` ${name}` : ` ${name}="${escapeAttribute(value)}"`;
  }
  return `${open}>`;
}

/** Replaces the characters that would end the comment or begin a new one (HTML, §13.1.6). */
function escapeComment(text: string): string {
  return text.replace(/--+/g, '–').replaceAll('>', '›').replaceAll('<', '‹').replace(/\s+/g, ' ').trim();
}

function escapeText(text: string): string {
  return text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('\u00a0', '&nbsp;');
}

function escapeAttribute(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('"', '&quot;').replaceAll('<', '&lt;');
}
