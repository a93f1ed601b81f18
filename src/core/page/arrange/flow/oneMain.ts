import { area, boxAround, overlaps } from '../../../mockup/box';
import { anonymousBox } from '../../anonymousBox';
import type { Page } from '../../frame';
import type { BoxNode, PageNode } from '../../node';
import { FURNITURE } from '../../../sort/places';
import { isBesideMain, roleEntry } from '../../../sort/vocabulary';
import { placedBox } from '../../placed';
import { BY_HAND } from '../../tolerances';
import { walkNodes } from '../../walk';

/** Elements whose header and footer are their own, not those of the page (HTML, §4.3.8 and §4.3.9). */
const OF_THEIR_OWN: readonly string[] = ['article', 'section', 'aside', 'nav', 'main'];

/** True for a region beside the main one. A header that is too high for furniture is the opening of the main region. */
function isBeside(node: PageNode, { height }: Page): boolean {
  const isOpening =
    node.role === 'header' &&
    node.place.height > FURNITURE * height &&
    !walkNodes([node]).some(({ role }) => role === 'navigation');
  return isBesideMain(node.role) && !isOpening;
}

/** True where a region stands beside the main one, among nodes or inside of them. */
function someBeside(nodes: readonly PageNode[], page: Page): boolean {
  return nodes.some(
    (node) =>
      isBeside(node, page) ||
      (node.kind === 'box' &&
        !OF_THEIR_OWN.includes(roleEntry(node.role).element) &&
        someBeside(node.children, page)),
  );
}

/** Elements that hold no main region: those that HTML forbids, lists, forms and asides. */
const NEVER_AROUND: readonly string[] = [
  ...(roleEntry('main').neverInside ?? []),
  'aside',
  'form',
  'ul',
  'ol',
  'dl',
  'li',
];

/**
 * A page has one main region (HTML, §4.4.14; ARIA, `main`): of several the largest, else the largest region beside the
 * header, the navigation and the footer, or all that stands between them.
 */
export function withOneMain(page: Page): Page {
  const mains = walkNodes(page.children).filter(({ role }) => role === 'main');
  if (mains.length === 1) return page;
  if (mains.length > 1) {
    const largest = mains.reduce((one, other) => (sizeOf(other) > sizeOf(one) ? other : one));
    const others = new Set<PageNode>(mains.filter((each) => each !== largest));
    return { ...page, children: page.children.map((node) => withoutMains(node, others)) };
  }
  return { ...page, children: mainIn(page.children, page) };
}

function sizeOf(node: PageNode): number {
  return area(placedBox(node.place));
}

function withoutMains(node: PageNode, others: ReadonlySet<PageNode>): PageNode {
  const own = others.has(node) ? { ...node, role: 'box' as const } : node;
  return own.kind === 'box'
    ? { ...own, children: own.children.map((child) => withoutMains(child, others)) }
    : own;
}

/** The share of a group's area that one of its parts must take to be looked into. */
const MOST_OF = 0.6;

/** The nodes with the main region among them or inside of one. */
function mainIn(nodes: readonly PageNode[], page: Page): readonly PageNode[] {
  const [largest] = nodes.toSorted((one, other) => sizeOf(other) - sizeOf(one));
  if (!largest) return nodes;
  const inside = largest.kind === 'box' && isWrapper(largest, nodes) ? largest.children : [];
  if (someBeside(inside, page))
    return replaced(nodes, largest, { ...largest, children: mainIn(inside, page) } as BoxNode);
  const all = nodes.filter((node) => !isBeside(node, page) && !node.hidden);
  const plain = all.filter(({ role }) => role !== 'header');
  // What stands between the opening and the rest may be no part of them.
  const own = plain.length === 0 || areTogether(all, nodes) ? all : plain;
  const boxes = own.filter(({ kind, role }) => kind === 'box' && role === 'box');
  const full = boxes.filter(hasContent);
  const [main] = (full.length > 0 ? full : boxes).toSorted((one, other) => sizeOf(other) - sizeOf(one));
  const isAlone = own.length === 1 || (main === largest && inside.length > 0);
  return main && (isAlone || !areTogether(own, nodes))
    ? replaced(nodes, main, { ...main, role: 'main' })
    : wrapped(nodes, own, page);
}

/** True for a box with words or pictures: an empty one is a ground. */
function hasContent(node: PageNode): boolean {
  return walkNodes([node]).some(({ kind }) => kind !== 'box');
}

/** True for a box that takes most of the area, and may hold the main region. */
function isWrapper(box: BoxNode, nodes: readonly PageNode[]): boolean {
  const whole = area(boxAround(nodes.map(({ place }) => placedBox(place))));
  return !NEVER_AROUND.includes(roleEntry(box.role).element) && sizeOf(box) >= MOST_OF * whole;
}

function replaced(nodes: readonly PageNode[], node: PageNode, by: PageNode): readonly PageNode[] {
  return nodes.map((each) => (each === node ? by : each));
}

/** True for nodes that can stand in one box: nothing that is drawn between them lies in its area. */
function areTogether(own: readonly PageNode[], nodes: readonly PageNode[]): boolean {
  const [first, last] = [nodes.indexOf(own[0]!), nodes.indexOf(own.at(-1)!)];
  const between = nodes.slice(first, last + 1).filter((node) => !own.includes(node) && !node.hidden);
  const around = boxAround(own.map(({ place }) => placedBox(place)));
  return between.every(({ place }) => !overlaps(placedBox(place), around, BY_HAND.overlap));
}

/** The nodes with those of the main region in one box. */
function wrapped(
  nodes: readonly PageNode[],
  own: readonly PageNode[],
  { screen }: Page,
): readonly PageNode[] {
  const isWords = own.length === 1 && own[0]!.kind !== 'box';
  if (own.length === 0 || isWords || !areTogether(own, nodes)) return nodes;
  const main: BoxNode = {
    ...anonymousBox('main', screen, boxAround(own.map(({ place }) => placedBox(place)))),
    role: 'main',
    children: own,
  };
  return nodes.flatMap((node) => (node === own[0] ? main : own.includes(node) ? [] : node));
}
