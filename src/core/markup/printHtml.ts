import type { MarkupElement, MarkupNode, Origin } from './element';

/** Elements without content or end tag (HTML, §13.1.2). */
export const VOID_ELEMENTS: ReadonlySet<string> = new Set([
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

/** Elements of SVG that have no content here: a tag that closes itself ends them (HTML, §13.1.2.1). */
const CLOSING_THEMSELVES: ReadonlySet<string> = new Set(
  'circle ellipse line path polygon polyline rect use'.split(' '),
);

/** Where an element with an origin was printed. */
export interface PrintedSpan extends Origin {
  /** First and last line, from 1. */
  readonly line: number;
  readonly lastLine: number;
  /** Index among all printed elements, in document order. */
  readonly element: number;
}

/**
 * The tree as HTML, one element a line, indented by two spaces. An element with inline content stands on one
 * line, since white space inside it is visible.
 */
export function printHtml(nodes: readonly MarkupNode[]): string {
  return new HtmlWriter().print(nodes);
}

/** The same, with the spans of all elements that have an origin, parents before children. */
export function printHtmlWithSpans(nodes: readonly MarkupNode[]): {
  readonly text: string;
  readonly spans: readonly PrintedSpan[];
} {
  const spans: PrintedSpan[] = [];
  return { text: new HtmlWriter(spans).print(nodes), spans };
}

/** An element around code that is already printed. That code keeps its indentation. */
export function printAround(node: MarkupElement, inner: string): string {
  return `${printNote(node, '')}${openTag(node)}\n${inner}</${node.name}>\n`;
}

/** Prints a tree and counts lines and elements on the way. */
class HtmlWriter {
  private text = '';
  private line = 1;
  private elements = 0;

  constructor(private readonly spans?: PrintedSpan[]) {}

  print(nodes: readonly MarkupNode[]): string {
    for (const node of nodes) this.block(node, '');
    return this.text;
  }

  private block(node: MarkupNode, margin: string): void {
    if (typeof node === 'string') this.write(`${margin}${escapeText(node)}\n`);
    else {
      this.write(printNote(node, margin));
      this.recording(node, () => this.blockElement(node, margin));
    }
  }

  private blockElement(node: MarkupElement, margin: string): void {
    if (isInline(node)) {
      this.write(`${margin}${this.inline(node)}\n`);
      return;
    }
    this.elements += 1;
    this.write(`${margin}${openTag(node)}\n`);
    for (const child of node.children) this.block(child, `${margin}  `);
    this.write(`${margin}</${node.name}>\n`);
  }

  private inline(node: MarkupNode): string {
    if (typeof node === 'string') return escapeText(node);
    this.elements += 1;
    if (VOID_ELEMENTS.has(node.name)) return openTag(node);
    if (CLOSING_THEMSELVES.has(node.name)) return openTag(node).replace(/>$/, ' />');
    const inner = node.children.map((child) =>
      typeof child === 'string' ? escapeText(child) : this.recording(child, () => this.inline(child)),
    );
    return `${openTag(node)}${inner.join('')}</${node.name}>`;
  }

  /** Records the span of an element that `print` prints. */
  private recording<Result>(node: MarkupElement, print: () => Result): Result {
    if (!this.spans || !node.origin) return print();
    const at = this.spans.length;
    const span = { ...node.origin, line: this.line, element: this.elements };
    this.spans.push({ ...span, lastLine: this.line });
    const result = print();
    this.spans[at] = { ...span, lastLine: Math.max(this.line - 1, span.line) };
    return result;
  }

  private write(text: string): void {
    this.text += text;
    for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) this.line += 1;
  }
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

function openTag(node: MarkupElement): string {
  let open = `<${node.name}`;
  for (const name in node.attributes) {
    const value = node.attributes[name]!;
    open += value === true ? ` ${name}` : ` ${name}="${escapeAttribute(value)}"`;
  }
  return `${open}>`;
}

/** Replaces the characters that would end the comment or begin a new one (HTML, §13.1.6). */
export function escapeComment(text: string): string {
  return text.replace(/--+/g, '–').replaceAll('>', '›').replaceAll('<', '‹').replace(/\s+/g, ' ').trim();
}

/** Words as HTML writes them (HTML, §13.3). */
export function escapeText(text: string): string {
  return text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('\u00a0', '&nbsp;');
}

/** The value of an attribute in double quotes (HTML, §13.3). */
export function escapeAttribute(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('"', '&quot;').replaceAll('<', '&lt;');
}
