import { right } from '../../../mockup/box';
import { memoizeLast } from '../../../mockup/memoize';
import { anonymousBox } from '../../anonymousBox';
import type { Page } from '../../frame';
import type { BoxNode, PageNode } from '../../node';
import { withChildren } from '../../mapBoxes';
import { contentBox } from './contentBox';

/**
 * Limits columns of words to the visible width when their box continues past the screen's right edge, so that
 * longer words wrap there. Scroll areas, and one of several equal boxes beside each other, keep their width.
 * Places are px of the screen.
 */
export function limitToVisibleRoom(page: Page): Page {
  if (page.frame.edge !== 'clipped') return page;
  const { children, layout, width } = page;
  const root = anonymousBox(page.name, page.screen, contentBox(page));
  return { ...page, children: limitBox({ ...root, children, ...(layout && { layout }) }, width).children };
}

function limitBox(node: BoxNode, width: number): BoxNode {
  return lastNarrowed(node, [width], () => {
    if (clipsAtScreen(node, width)) return node;
    const { children, layout } = node;
    const runsOut = layout?.direction === 'column' && right(node.place) > width + 1;
    const narrow = (child: PageNode) => {
      if (child.kind === 'box') return hasTwin(child, children, width) ? child : limitBox(child, width);
      return runsOut ? narrowTo(child, width) : child;
    };
    return withChildren(node, children.map(narrow));
  });
}

const lastNarrowed = memoizeLast<BoxNode, BoxNode>();

/** True for a box that clips its content at its own edge on the screen. */
function clipsAtScreen({ look, scroll, place }: BoxNode, width: number): boolean {
  return (look.clip !== undefined && right(place) <= width + 1) || scroll === 'x' || scroll === 'both';
}

/** True for one of several equally wide boxes beside each other that overflows. */
function hasTwin({ place }: BoxNode, among: readonly PageNode[], width: number): boolean {
  if (right(place) <= width + 1) return false;
  return among.some((other) => {
    const isBeside = right(other.place) <= place.x + 1 || right(place) <= other.place.x + 1;
    return isBeside && other.kind === 'box' && Math.abs(other.place.width - place.width) <= 1;
  });
}

function narrowTo(node: PageNode, width: number): PageNode {
  const { place } = node;
  if (node.kind !== 'text' || place.kind !== 'flow' || place.linear || right(place) > width) return node;
  return { ...node, place: { ...place, widthMode: 'max', width: width - place.x } };
}
