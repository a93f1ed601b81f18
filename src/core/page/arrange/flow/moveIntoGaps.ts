import { BY_HAND } from '../../tolerances';
import { contains, overlaps } from '../../../mockup/box';
import { memoizeLast } from '../../../mockup/memoize';
import { isListRole } from '../../../sort/vocabulary';
import { placedBox } from '../../placed';
import type { BoxNode, PageNode } from '../../node';
import type { Page } from '../../frame';
import { mapBoxes, withChildren } from '../../mapBoxes';
import { nodeBoxes } from './nodeBoxes';
import { canHold, isOpen } from './reparent';
import { hasWords, isLeafWithoutText } from './nodePredicates';

/**
 * Moves nodes that are drawn after a container, but stand in a gap of it, into that gap. Mockups draw parts
 * that overlap their neighbours outside of the group where they stand. Places are px of the screen.
 */
export function moveIntoGaps(page: Page): Page {
  return { ...page, children: fillGaps(page.children.map(filled)) };
}

const filled = mapBoxes((node) => {
  const children = node.children.map(filled);
  // A container with a layout override keeps its children.
  return withChildren(node, node.layoutOverride?.contents === undefined ? fillGaps(children) : children);
});

function fillGaps(children: readonly PageNode[]): readonly PageNode[] {
  if (children.length < 2 || !children.some(hasGaps)) return children;
  const { boxes, touching } = nodeBoxes(children);
  const kept: (PageNode | null)[] = [...children];
  children.forEach((child, at) => {
    if (child.hidden) return;
    const box = boxes[at]!;
    const under = touching(at).filter(
      (other) => other < at && kept[other] && overlaps(boxes[other]!, box, BY_HAND.overlap),
    );
    const around = under.at(-1);
    const put = around === undefined ? null : putInto(kept[around]!, child);
    if (put === null) return;
    kept[around!] = put;
    kept[at] = null;
  });
  return kept.includes(null) ? kept.filter((child) => child !== null) : children;
}

/** True for a group that could hold a node drawn after it, itself or by its items. */
function hasGaps(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || !(isOpen(node) || isList(node))) return false;
  return node.children.length > 0 && node.layoutOverride?.contents === undefined && hasWords(node);
}

/** True for a list, which holds only items. */
function isList(node: PageNode): boolean {
  return isListRole(node.role) && isOpen({ ...node, role: 'item' });
}

const lastPut = memoizeLast<PageNode, BoxNode | null>();

/** The container with the node in the innermost gap that it fits; null where there is none. */
function putInto(node: PageNode, child: PageNode): BoxNode | null {
  if (!hasGaps(node)) return null;
  const box = placedBox(child.place);
  if (!contains(placedBox(node.place), box, BY_HAND.overlap)) return null;
  return lastPut(node, [child], () => {
    const under = node.children.filter(
      (other) => !other.hidden && overlaps(placedBox(other.place), box, BY_HAND.overlap),
    );
    const last = under.at(-1);
    if (
      !last ||
      (canHold(last) && isLeafWithoutText(last) && contains(placedBox(last.place), box, BY_HAND.overlap))
    )
      return isList(node) ? null : { ...node, children: [...node.children, child] };
    const put = putInto(last, child);
    return put && { ...node, children: node.children.map((other) => (other === last ? put : other)) };
  });
}
