import { contains, overlaps } from '../../../mockup/box';
import { lastMade } from '../../../mockup/remember';
import { placedBox } from '../../placed';
import type { BoxNode, Page, PageNode } from '../../node';
import { ofBoxes, withChildren } from '../../ofBoxes';
import { boxesOf } from './boxesOf';
import { canHold, isOpen } from './parts';
import { hasWords, isBare, TOUCH } from './things';

/**
 * Puts what is drawn after a container, and stands in a gap in it, into that gap: mockups draw what lies over the edges of
 * its neighbours outside of the group that it stands in. Places are those of the screen.
 */
export function intoGaps(page: Page): Page {
  return { ...page, children: fillGaps(page.children.map(filled)) };
}

const filled = ofBoxes((node) => {
  const children = node.children.map(filled);
  // Of what a person says how it stands, all stands so.
  return withChildren(node, node.wish?.contents === undefined ? fillGaps(children) : children);
});

function fillGaps(children: readonly PageNode[]): readonly PageNode[] {
  if (children.length < 2 || !children.some(hasGaps)) return children;
  const { boxes, touching } = boxesOf(children);
  const kept: (PageNode | null)[] = [...children];
  children.forEach((child, at) => {
    if (child.hidden) return;
    const box = boxes[at]!;
    const under = touching(at).filter(
      (other) => other < at && kept[other] && overlaps(boxes[other]!, box, TOUCH),
    );
    const around = under.at(-1);
    const put = around === undefined ? null : putInto(kept[around]!, child);
    if (put === null) return;
    kept[around!] = put;
    kept[at] = null;
  });
  return kept.includes(null) ? kept.filter((child) => child !== null) : children;
}

/** True for a group that could hold what is drawn after it, or whose items could. */
function hasGaps(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || !(isOpen(node) || isList(node))) return false;
  return node.children.length > 0 && node.wish?.contents === undefined && hasWords(node);
}

/** True for a list, which holds nothing but its items. */
function isList(node: PageNode): boolean {
  return node.role === 'list' && isOpen({ ...node, role: 'item' });
}

const lastPut = lastMade<PageNode, BoxNode | null>();

/** The container with a node in the innermost gap that it fits; null where there is none. */
function putInto(node: PageNode, child: PageNode): BoxNode | null {
  if (!hasGaps(node)) return null;
  const box = placedBox(child.place);
  if (!contains(placedBox(node.place), box, TOUCH)) return null;
  return lastPut(node, [child], () => {
    const under = node.children.filter(
      (other) => !other.hidden && overlaps(placedBox(other.place), box, TOUCH),
    );
    const last = under.at(-1);
    if (!last || (canHold(last) && isBare(last) && contains(placedBox(last.place), box, TOUCH)))
      return isList(node) ? null : { ...node, children: [...node.children, child] };
    const put = putInto(last, child);
    return put && { ...node, children: node.children.map((other) => (other === last ? put : other)) };
  });
}
