import type { LayerKey } from '../../mockup/layer';
import { walkNodes, type PageNode } from '../../page/node';

/** The place of a layer in a page: its element and the lines of its code. */
export interface ElementLink {
  readonly layer: LayerKey;
  /** Layers merged into that element. */
  readonly merged: readonly LayerKey[];
  /** The index of the element among all elements of the page's screen, in document order. */
  readonly element: number;
  /** First and last line, from 1. */
  readonly line: number;
  readonly lastLine: number;
}

/**
 * Finds the elements of layers in a page with `data-layer`, printed one element a line.
 * @param nodes the nodes that the page was printed from
 */
export function linkElements(html: string, nodes: readonly PageNode[]): readonly ElementLink[] {
  const merged = new Map(walkNodes(nodes).map((node) => [node.layer, node.merged ?? []]));
  const lines = html.split('\n');
  const links: ElementLink[] = [];
  // The screen's own element comes first.
  let element = -1;
  let isInside = false;
  for (const [at, line] of lines.entries()) {
    for (const [tag, name] of line.matchAll(/<([a-z][a-z0-9]*)(?: [^\s="<>]+(?:="[^"]*")?)*>/g)) {
      if (isInside) element += 1;
      if (name === 'div' && /class="screen[ "]/.test(tag)) isInside = true;
      const layer = / data-layer="([^"]*)"/.exec(tag)?.[1];
      if (layer === undefined) continue;
      const key = unescape(layer);
      links.push({
        layer: key,
        merged: merged.get(key) ?? [],
        element,
        line: at + 1,
        lastLine: endOf(lines, at) + 1,
      });
    }
  }
  return links;
}

/** The last line of the element: the next line that closes one at the same depth. */
function endOf(lines: readonly string[], at: number): number {
  const line = lines[at] ?? '';
  const margin = /^ */.exec(line)![0];
  const name = /<([a-z][a-z0-9]*)/.exec(line)?.[1] ?? '';
  if (line.includes(`</${name}>`)) return at;
  const closing = `${margin}</${name}>`;
  const next = lines[at + 1] ?? '';
  // Void elements have no end tag.
  if (!next.startsWith(`${margin} `) && next !== closing) return at;
  const end = lines.indexOf(closing, at);
  return end < 0 ? at : end;
}

/** Attribute values are printed with these only (HTML, §13.3). */
const ENTITIES: Readonly<Record<string, string>> = {
  '&amp;': '&',
  '&quot;': '"',
  '&lt;': '<',
  '&gt;': '>',
  '&nbsp;': '\u00a0',
};

function unescape(value: string): string {
  return value.replace(/&(?:amp|quot|lt|gt|nbsp);/g, (entity) => ENTITIES[entity] ?? entity);
}
