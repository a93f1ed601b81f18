import { right } from '../../../mockup/box';
import { lastMade } from '../../../mockup/remember';
import type { BoxNode, PageNode } from '../../node';
import { withChildren } from '../../ofBoxes';

/**
 * Words under each other that end on the screen have the room that is seen, also in a box that goes on past its right edge:
 * longer ones break there. What can be scrolled, and one of several of a size beside each other, keeps its room. Places are
 * px of the screen.
 */
export function inSeenRoom(node: BoxNode, width: number): BoxNode {
  return lastNarrowed(node, [width], () => {
    if (isCutBefore(node, width)) return node;
    const { children, layout } = node;
    const runsOut = layout?.direction === 'column' && right(node.place) > width + 1;
    const narrow = (child: PageNode) => {
      if (child.kind === 'box') return hasTwin(child, children, width) ? child : inSeenRoom(child, width);
      return runsOut ? narrowed(child, width) : child;
    };
    return withChildren(node, children.map(narrow));
  });
}

const lastNarrowed = lastMade<BoxNode, BoxNode>();

/** True for a box at whose own edge, on the screen, things are cut off. */
function isCutBefore({ look, scroll, place }: BoxNode, width: number): boolean {
  return (look.clip !== undefined && right(place) <= width + 1) || scroll === 'x' || scroll === 'both';
}

/** True for one of several as wide as each other, beside each other, that runs out. */
function hasTwin({ place }: BoxNode, among: readonly PageNode[], width: number): boolean {
  if (right(place) <= width + 1) return false;
  return among.some((other) => {
    const isBeside = right(other.place) <= place.x + 1 || right(place) <= other.place.x + 1;
    return isBeside && other.kind === 'box' && Math.abs(other.place.width - place.width) <= 1;
  });
}

function narrowed(node: PageNode, width: number): PageNode {
  const { place } = node;
  if (node.kind !== 'text' || place.kind !== 'flow' || place.turn || right(place) > width) return node;
  return { ...node, place: { ...place, wide: 'capped', width: width - place.x } };
}
