import { BY_HAND } from '../../../tolerances';
import { boxAround, intersection, overlaps, type Box } from '../../../../mockup/box';
import { quadsOverlap } from '../../../../mockup/quad';
import { memoizeByObject } from '../../../../mockup/memoize';
import type { BoxNode, PageNode } from '../../../node';
import type { Place } from '../../../place';
import { placedBox, placedQuad } from '../../../placed';
import { touchingIndex } from '../nodeBoxes';
import { innerBox } from '../parts';

/** A leaf node, and its visible box, px of the screen. */
export interface Leaf {
  readonly node: PageNode;
  readonly shown: Box;
}

/**
 * The leaf nodes that are visible in an area of the screen.
 * @param seen the area in which the nodes are not clipped
 */
export function leavesIn(area: Box, nodes: readonly PageNode[], seen: Box = area): readonly Leaf[] {
  const { reaches, touching } = extentsOf(nodes);
  return touching(area).flatMap((at): readonly Leaf[] => {
    const node = nodes[at]!;
    const shown = intersection(reaches[at]!, seen);
    if (node.hidden || !shown || !overlaps(shown, area, BY_HAND.overlap)) return [];
    if (node.kind !== 'box' || node.children.length === 0) return [{ node, shown }];
    const inside = clipsContent(node) ? intersection(seen, innerBox(node)) : seen;
    return inside ? leavesIn(area, node.children, inside) : [];
  });
}

/** True for a box that clips its content. */
export function clipsContent({ look, scroll }: BoxNode): boolean {
  return look.clip !== undefined || scroll !== undefined;
}

/** True where the visible part of a leaf and a place overlap. */
export function overlapsPlace({ node, shown }: Leaf, place: Place): boolean {
  if (!overlaps(shown, placedBox(place), BY_HAND.overlap)) return false;
  return (!node.place.linear && !place.linear) || placesOverlap(node.place, place);
}

export function placesOverlap(one: Place, other: Place): boolean {
  if (!overlaps(placedBox(one), placedBox(other), BY_HAND.overlap)) return false;
  return (!one.linear && !other.linear) || quadsOverlap(placedQuad(one), placedQuad(other), BY_HAND.overlap);
}

interface Extents {
  /** The boxes around each node with all of its content. */
  readonly reaches: readonly Box[];
  readonly touching: (box: Box) => readonly number[];
}

const extentsOf = memoizeByObject((nodes: readonly PageNode[]): Extents => {
  const reaches = nodes.map(extentOf);
  return { reaches, touching: touchingIndex(reaches) };
});

function extentOf(node: PageNode): Box {
  return node.kind === 'box' ? boxExtent(node) : placedBox(node.place);
}

const boxExtent = memoizeByObject(({ children, place }: BoxNode): Box =>
  children.length > 0 ? boxAround(extentsOf(children).reaches) : placedBox(place),
);
