/** An element as it stands in the file. The tree is built once by `parseXml` and only read afterwards. */
export interface XmlNode {
  /** Local name in the SVG namespace; other namespaces keep their prefix (`sodipodi:namedview`). */
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly (XmlNode | string)[];
  readonly parent: XmlNode | null;
  readonly line: number;
}

export function elementsIn(node: XmlNode): XmlNode[] {
  return node.children.filter((child): child is XmlNode => typeof child !== 'string');
}

export function* descendants(node: XmlNode): Generator<XmlNode> {
  yield node;
  for (const child of node.children) if (typeof child !== 'string') yield* descendants(child);
}

export function textIn(node: XmlNode): string {
  return node.children.map((child) => (typeof child === 'string' ? child : textIn(child))).join('');
}
