import { namesInPath } from '../../mockup/identity';
import { diffArrays } from 'diff';
import { isHeading, type Role } from '../../sort/vocabulary';
import { isAnonymous } from '../anonymousBox';
import { type BoxNode, type PageNode, type TextNode, type Width, nodeWords } from '../node';
import { sharedPlacementOf } from '../sharedPlacement';
import type { FlowPlace } from '../place';
import { asNarrow } from './narrow';

/** A node of the joined page, and the page that it came from. */
interface Joined {
  readonly node: PageNode;
  readonly wide: number | null;
  readonly narrow: number | null;
}

/** A container without a layer, around some of the joined nodes. */
interface Container {
  readonly node: BoxNode;
  readonly from: number;
  /** Index after its last node. */
  readonly to: number;
}

/**
 * Joins the children of a box on the wide and the narrow page. Nodes with the same name and words become one
 * node; all others are shown on one page only. Rows and columns of one page are boxes there only, as far as
 * the containers of both pages nest.
 */
export function joinChildren(wide: readonly PageNode[], narrow: readonly PageNode[]): readonly PageNode[] {
  const [one, other] = [flatten(wide), flatten(narrow)];
  const pairs = pairNodes(one.nodes, other.nodes);
  for (;;) {
    const joined = inOrder(one.nodes, other.nodes, pairs);
    const containers = joinContainers(
      one.containers.map((each) => placedAmong(each, joined, 'wide')),
      other.containers.map((each) => placedAmong(each, joined, 'narrow')),
    );
    const crossing = crossingOne(containers);
    if (!crossing) return build(joined, containers, 0, joined.length);
    // The content is a different thing on the narrow screen.
    const inside = joined.slice(crossing.from, crossing.to);
    for (const { narrow: at } of inside) if (at !== null) pairs.delete(at);
  }
}

/** The nodes of layers in order, and the containers around them, outer ones first. */
function flatten(nodes: readonly PageNode[]): { nodes: PageNode[]; containers: Container[] } {
  const flat: PageNode[] = [];
  const containers: Container[] = [];
  const enter = (list: readonly PageNode[]): void => {
    for (const node of list) {
      if (!isAnonymous(node) || node.kind !== 'box') {
        flat.push(node);
        continue;
      }
      const from = flat.length;
      const at = containers.push({ node, from, to: from }) - 1;
      enter(node.children);
      containers[at] = { node, from, to: flat.length };
    }
  };
  enter(nodes);
  return { nodes: flat, containers };
}

/** The nodes that both pages have, by index on the narrow page. */
type Pairs = Map<number, { readonly wide: number; readonly node: PageNode }>;

function pairNodes(wide: readonly PageNode[], narrow: readonly PageNode[]): Pairs {
  const pairs: Pairs = new Map();
  let [a, b] = [0, 0];
  for (const { added, removed, count } of diffArrays(wide.map(identityText), narrow.map(identityText))) {
    for (let index = 0; index < count; index++, a += added ? 0 : 1, b += removed ? 0 : 1) {
      const node = added || removed ? null : joinTwo(wide[a]!, narrow[b]!);
      if (node) pairs.set(b, { wide: a, node });
    }
  }
  return pairs;
}

/** All nodes in the order of both pages; between shared nodes the wide page's own come first. */
function inOrder(wide: readonly PageNode[], narrow: readonly PageNode[], pairs: Pairs): readonly Joined[] {
  const joined: Joined[] = [];
  let [a, from] = [0, 0];
  const alone = (untilWide: number, untilNarrow: number): void => {
    for (; a < untilWide; a++) joined.push({ node: shownOnlyOn(wide[a]!, 'wide'), wide: a, narrow: null });
    for (; from < untilNarrow; from++)
      joined.push({ node: shownOnlyOn(narrow[from]!, 'narrow'), wide: null, narrow: from });
  };
  for (const [b, { wide: at, node }] of [...pairs].sort(([one], [other]) => one - other)) {
    alone(at, b);
    joined.push({ node, wide: a++, narrow: from++ });
  }
  alone(wide.length, narrow.length);
  return joined;
}

/** The text by which two nodes are the same: their kind with their words, or with the name of their layer. */
function identityText(node: PageNode): string {
  return node.kind === 'text'
    ? `text ${nodeWords(node)}`
    : `${node.kind} ${namesInPath(node.path).at(-1) ?? ''}`;
}

/** The joined node; null where one element cannot be both. */
function joinTwo(wide: PageNode, narrow: PageNode): PageNode | null {
  const role = commonRole(wide, narrow);
  if (!role || wide.href !== narrow.href || wide.hidden !== narrow.hidden) return null;
  if (isPinned(wide) || isPinned(narrow)) return null;
  const merged = [...(wide.merged ?? []), narrow.layer, ...(narrow.merged ?? [])];
  const shared = { kind: 'both', narrow: asNarrow(narrow) } as const;
  if (wide.kind === 'box' && narrow.kind === 'box')
    return { ...wide, role, merged, shared, children: joinChildren(wide.children, narrow.children) };
  if (wide.kind === 'text' && narrow.kind === 'text') {
    if (hasSameLines(wide, narrow)) return { ...wide, role, merged, shared };
    if (!isPlain(wide) || !isPlain(narrow)) return null;
    // Each screen breaks the words at the end of its own width.
    const [broken, other] = [withOwnWidth(wide), asNarrow(withOwnWidth(narrow))];
    return { ...broken, role, merged, shared: { kind: 'both', narrow: other } };
  }
  return wide.kind === 'picture' && narrow.kind === 'picture' ? { ...wide, role, merged, shared } : null;
}

/**
 * The wide page decides: whether words are a paragraph or a heading follows from lines and size, which differ
 * between screens.
 */
function commonRole(wide: PageNode, narrow: PageNode): Role | null {
  if (wide.role === narrow.role) return wide.role;
  const isWords = ({ role }: PageNode) => role === 'text' || role === 'paragraph' || isHeading(role);
  if (!isWords(wide) || !isWords(narrow)) return null;
  return wide.role === 'text' ? narrow.role : wide.role;
}

/** True for a node with coordinates of its own, which a class cannot hold. */
function isPinned(node: PageNode): boolean {
  return node.place.kind === 'fixed' && sharedPlacementOf(node) === null;
}

function hasSameLines(wide: TextNode, narrow: TextNode): boolean {
  const said = ({ lines, wraps }: TextNode) =>
    JSON.stringify([wraps, lines.map(({ spans, at }) => [spans.map(({ text, look }) => [text, look]), at])]);
  return said(wide) === said(narrow);
}

/** True for regular lines in one look. */
function isPlain({ lines }: TextNode): boolean {
  return lines.every(({ spans, at }) => at === null && spans.length === 1);
}

/** The text as one whose lines wrap, with the width of its longest line and a px for rounding. */
function withOwnWidth(text: TextNode): TextNode {
  const { place } = text;
  const isOpen = place.kind === 'flow' && place.widthMode === 'fit' && text.lines.length > 1;
  const capped = { ...place, widthMode: 'capped', width: Math.ceil(place.width) + 1 } as const;
  return { ...text, wraps: 'freely', ...(isOpen && { place: capped as FlowPlace }) };
}

function shownOnlyOn(node: PageNode, on: Width): PageNode {
  return { ...node, shared: { kind: 'only', on } };
}

/** The container's range among the joined nodes. */
function placedAmong({ node, from, to }: Container, joined: readonly Joined[], width: Width): Container {
  const inside = joined.flatMap((each, at) => {
    const index = each[width];
    return index !== null && index >= from && index < to ? [at] : [];
  });
  return { node, from: inside[0] ?? 0, to: (inside.at(-1) ?? -1) + 1 };
}

/** The containers of both pages, outer ones first. */
function joinContainers(wide: readonly Container[], narrow: readonly Container[]): readonly Container[] {
  const left = [...narrow];
  const joined = wide.map(({ node, from, to }): Container => {
    const at = left.findIndex((each) => each.from === from && each.to === to);
    const [same] = at < 0 ? [] : left.splice(at, 1);
    const shared = same
      ? ({ kind: 'both', narrow: asNarrow(same.node) } as const)
      : ({ kind: 'box', on: 'wide' } as const);
    return { node: { ...node, shared }, from, to };
  });
  const alone = left.map(({ node, ...range }): Container => ({
    node: { ...node, shared: { kind: 'box', on: 'narrow' } },
    ...range,
  }));
  return [...joined, ...alone].sort((one, other) => one.from - other.from || other.to - one.to);
}

/** A container of the narrow page that overlaps one of the wide page without nesting. */
function crossingOne(containers: readonly Container[]): Container | null {
  const isNarrow = ({ node }: Container) => node.shared?.kind === 'box' && node.shared.on === 'narrow';
  for (const [at, one] of containers.entries())
    for (const other of containers.slice(at + 1))
      if (other.from < one.to && one.to < other.to) return isNarrow(one) ? one : other;
  return null;
}

/** The nodes of a range, each inside its containers. */
function build(
  joined: readonly Joined[],
  containers: readonly Container[],
  from: number,
  to: number,
): readonly PageNode[] {
  const built: PageNode[] = [];
  const rest = [...containers];
  for (let at = from; at < to;) {
    const container = rest[0];
    if (!container || container.from !== at) {
      built.push(joined[at]!.node);
      at++;
      continue;
    }
    const inside = rest.slice(1).filter((each) => each.to <= container.to);
    rest.splice(0, 1 + inside.length);
    built.push({ ...container.node, children: build(joined, inside, container.from, container.to) });
    at = container.to;
  }
  return built;
}
