/** An element as it stands in the file. The tree is built once by `parseXml` and only read afterwards. */
export interface XmlNode {
  /** Local name in the SVG namespace; other namespaces keep their prefix (`sodipodi:namedview`). */
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly (XmlNode | string)[];
  readonly parent: XmlNode | null;
  readonly line: number;
  /** Where its start tag ends, in characters of the source: behind the `>`. */
  readonly tagEnd: number;
}

export function elementsIn(node: XmlNode): XmlNode[] {
  return node.children.filter((child): child is XmlNode => typeof child !== 'string');
}

/** The element and all inside of it, in the order of the file. */
export function* descendants(node: XmlNode): Generator<XmlNode> {
  const open = [node];
  for (let next = open.pop(); next; next = open.pop()) {
    yield next;
    for (let at = next.children.length - 1; at >= 0; at--) {
      const child = next.children[at];
      if (typeof child === 'object') open.push(child);
    }
  }
}

export function textIn(node: XmlNode): string {
  return node.children.map((child) => (typeof child === 'string' ? child : textIn(child))).join('');
}
