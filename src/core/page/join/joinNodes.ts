import { diffArrays } from 'diff';
import type { LayerKey } from '../../mockup/layer';
import { isHeading, type Role } from '../../sort/vocabulary';
import { isMade } from '../made';
import {
  lineText,
  standingOf,
  type BoxNode,
  type FlowPlace,
  type PageNode,
  type TextNode,
  type Width,
} from '../node';
import { asNarrow } from './narrow';

/** A node of the joined page, and where it came from. */
interface Joined {
  readonly node: PageNode;
  readonly wide: number | null;
  readonly narrow: number | null;
}

/** A container that no layer stands for, around some of the joined nodes. */
interface Container {
  readonly node: BoxNode;
  readonly from: number;
  /** The first one behind it. */
  readonly to: number;
}

/**
 * The contents of a box on the wide and the narrow page as those of one box: what has the same name and words is one
 * node, anything else is shown on one of them only. Rows and columns that one page has and the other has not are boxes
 * there only, as far as the two fit into each other.
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
    // What is inside of it is another thing on the narrow screen.
    const inside = joined.slice(crossing.from, crossing.to);
    for (const { narrow: at } of inside) if (at !== null) pairs.delete(at);
  }
}

/** The nodes of layers, in order, and the containers around them, outer ones first. */
function flatten(nodes: readonly PageNode[]): { nodes: PageNode[]; containers: Container[] } {
  const flat: PageNode[] = [];
  const containers: Container[] = [];
  const enter = (list: readonly PageNode[]): void => {
    for (const node of list) {
      if (!isMade(node) || node.kind !== 'box') {
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

/** What is the same on both pages, by its place on the narrow one. */
type Pairs = Map<number, { readonly wide: number; readonly node: PageNode }>;

function pairNodes(wide: readonly PageNode[], narrow: readonly PageNode[]): Pairs {
  const pairs: Pairs = new Map();
  let [a, b] = [0, 0];
  for (const { added, removed, count } of diffArrays(wide.map(tellingOf), narrow.map(tellingOf))) {
    for (let index = 0; index < count; index++, a += added ? 0 : 1, b += removed ? 0 : 1) {
      const node = added || removed ? null : joinTwo(wide[a]!, narrow[b]!);
      if (node) pairs.set(b, { wide: a, node });
    }
  }
  return pairs;
}

/** All nodes in the order of both pages; between those that are on both, first the wide page's own. */
function inOrder(wide: readonly PageNode[], narrow: readonly PageNode[], pairs: Pairs): readonly Joined[] {
  const joined: Joined[] = [];
  let [a, from] = [0, 0];
  const alone = (untilWide: number, untilNarrow: number): void => {
    for (; a < untilWide; a++) joined.push({ node: onlyOn(wide[a]!, 'wide'), wide: a, narrow: null });
    for (; from < untilNarrow; from++)
      joined.push({ node: onlyOn(narrow[from]!, 'narrow'), wide: null, narrow: from });
  };
  for (const [b, { wide: at, node }] of [...pairs].sort(([one], [other]) => one - other)) {
    alone(at, b);
    joined.push({ node, wide: a++, narrow: from++ });
  }
  alone(wide.length, narrow.length);
  return joined;
}

/** What tells that two nodes are the same thing: their kind with their words, or with the name of their layer. */
function tellingOf(node: PageNode): string {
  return node.kind === 'text' ? `text ${wordsOf(node)}` : `${node.kind} ${ownName(node.layer)}`;
}

function ownName(layer: LayerKey): string {
  return layer.slice(layer.lastIndexOf('/') + 1);
}

function wordsOf({ lines }: TextNode): string {
  return lines.map(lineText).join(' ').replace(/\s+/g, ' ');
}

/** Null where one element cannot be both. */
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
    // Each screen breaks the words where its own room ends.
    const [broken, other] = [inOwnRoom(wide), asNarrow(inOwnRoom(narrow))];
    return { ...broken, role, merged, shared: { kind: 'both', narrow: other } };
  }
  return wide.kind === 'picture' && narrow.kind === 'picture' ? { ...wide, role, merged, shared } : null;
}

/** Words are a paragraph or a title by their lines and size, which differ between screens: the wide one decides. */
function commonRole(wide: PageNode, narrow: PageNode): Role | null {
  if (wide.role === narrow.role) return wide.role;
  const isWords = ({ role }: PageNode) => role === 'text' || role === 'paragraph' || isHeading(role);
  if (!isWords(wide) || !isWords(narrow)) return null;
  return wide.role === 'text' ? narrow.role : wide.role;
}

/** What stands at coordinates of its own says so itself, and not in a class. */
function isPinned(node: PageNode): boolean {
  return node.place.kind === 'fixed' && standingOf(node) === null;
}

function hasSameLines(wide: TextNode, narrow: TextNode): boolean {
  const said = ({ lines, wraps }: TextNode) =>
    JSON.stringify([wraps, lines.map(({ spans, at }) => [spans.map(({ text, look }) => [text, look]), at])]);
  return said(wide) === said(narrow);
}

/** Lines that follow each other, in one look. */
function isPlain({ lines }: TextNode): boolean {
  return lines.every(({ spans, at }) => at === null && spans.length === 1);
}

/** A text whose lines break where there is room: as much as the longest of them needs, and a px that browsers round. */
function inOwnRoom(text: TextNode): TextNode {
  const { place } = text;
  const isOpen = place.kind === 'flow' && place.wide === 'hug' && text.lines.length > 1;
  const capped = { ...place, wide: 'capped', width: Math.ceil(place.width) + 1 } as const;
  return { ...text, wraps: 'freely', ...(isOpen && { place: capped as FlowPlace }) };
}

function onlyOn(node: PageNode, on: Width): PageNode {
  return { ...node, shared: { kind: 'only', on } };
}

/** Where a container of one page is among the joined nodes. */
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

/** A container of the narrow page that begins in one of the wide page and ends outside of it, or the other way round. */
function crossingOne(containers: readonly Container[]): Container | null {
  const isNarrow = ({ node }: Container) => node.shared?.kind === 'box' && node.shared.on === 'narrow';
  for (const [at, one] of containers.entries())
    for (const other of containers.slice(at + 1))
      if (other.from < one.to && one.to < other.to) return isNarrow(one) ? one : other;
  return null;
}

/** The nodes from one place to another, each in its containers. */
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
