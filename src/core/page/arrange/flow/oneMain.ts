import { area, boxAround } from '../../../mockup/box';
import { anonymousBox } from '../../anonymousBox';
import type { Page } from '../../frame';
import type { BoxNode, PageNode } from '../../node';
import { placedBox } from '../../placed';
import { walkNodes } from '../../walk';

/** Roles of regions beside the main content, and of those that never hold it. */
const BESIDE: ReadonlySet<string> = new Set(['header', 'footer', 'navigation', 'aside', 'search', 'dialog']);
const NEVER_AROUND: ReadonlySet<string> = new Set([...BESIDE, 'article', 'form', 'list', 'item', 'table']);

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
  return { ...page, children: mainIn(page.children, page.screen) };
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
function mainIn(nodes: readonly PageNode[], screen: string): readonly PageNode[] {
  const whole = area(boxAround(nodes.map(({ place }) => placedBox(place))));
  const largest = nodes.reduce<PageNode | null>(
    (best, node) => (!best || sizeOf(node) > sizeOf(best) ? node : best),
    null,
  );
  if (!largest) return nodes;
  const holdsOthers = walkNodes([largest]).some((node) => node !== largest && BESIDE.has(node.role));
  const isWrapper =
    largest.kind === 'box' &&
    largest.children.length > 0 &&
    !NEVER_AROUND.has(largest.role) &&
    sizeOf(largest) >= MOST_OF * whole;
  if (isWrapper && holdsOthers)
    return nodes.map((node) =>
      node === largest ? { ...largest, children: mainIn(largest.children, screen) } : node,
    );
  const own = nodes.filter((node) => !BESIDE.has(node.role) && !node.hidden);
  const [only, ...more] = own;
  if (only?.kind === 'box' && (more.length === 0 || isWrapper) && largest.role === 'box')
    return nodes.map((node) =>
      node === (more.length === 0 ? only : largest) ? { ...node, role: 'main' } : node,
    );
  return wrapped(nodes, own, screen);
}

/** What stands between the regions beside it, in one box, where nothing of them lies in between. */
function wrapped(nodes: readonly PageNode[], own: readonly PageNode[], screen: string): readonly PageNode[] {
  const [first, last] = [nodes.indexOf(own[0]!), nodes.indexOf(own.at(-1)!)];
  if (own.length < 2 || last - first + 1 !== own.length) {
    // Something beside it stands in between: the largest part is what the page is about.
    const largest = own.filter((node) => node.kind === 'box' && node.role === 'box');
    const main = largest.toSorted((one, other) => sizeOf(other) - sizeOf(one))[0];
    return main ? nodes.map((node) => (node === main ? { ...node, role: 'main' as const } : node)) : nodes;
  }
  const box: BoxNode = {
    ...anonymousBox('main', screen, boxAround(own.map(({ place }) => placedBox(place)))),
    role: 'main',
    children: own,
  };
  return [...nodes.slice(0, first), box, ...nodes.slice(last + 1)];
}
