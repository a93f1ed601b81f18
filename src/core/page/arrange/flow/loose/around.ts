import { boxAround, intersection, overlaps, type Box } from '../../../../mockup/box';
import { quadsOverlap } from '../../../../mockup/quad';
import { rememberOf } from '../../../../mockup/remember';
import type { BoxNode, PageNode, Place } from '../../../node';
import { placedBox, placedQuad } from '../../../placed';
import { finder } from '../boxesOf';
import { innerBox } from '../parts';
import { TOUCH } from '../things';

/** A single thing on the page, and as much of its box as is not cut off, px of the screen. */
export interface Thing {
  readonly node: PageNode;
  readonly shown: Box;
}

/**
 * The single things that show in a box of the screen.
 * @param seen what is not cut off of the nodes
 */
export function thingsIn(area: Box, nodes: readonly PageNode[], seen: Box = area): readonly Thing[] {
  const { reaches, touching } = reachesOf(nodes);
  return touching(area).flatMap((at): readonly Thing[] => {
    const node = nodes[at]!;
    const shown = intersection(reaches[at]!, seen);
    if (node.hidden || !shown || !overlaps(shown, area, TOUCH)) return [];
    if (node.kind !== 'box' || node.children.length === 0) return [{ node, shown }];
    const inside = isCutting(node) ? intersection(seen, innerBox(node)) : seen;
    return inside ? thingsIn(area, node.children, inside) : [];
  });
}

/** True for a box that cuts off what sticks out of it. */
export function isCutting({ look, scroll }: BoxNode): boolean {
  return look.clip !== undefined || scroll !== undefined;
}

/** True where a thing, as far as it is seen, and a place share something. */
export function isMet({ node, shown }: Thing, place: Place): boolean {
  if (!overlaps(shown, placedBox(place), TOUCH)) return false;
  return (!node.place.turn && !place.turn) || placesMeet(node.place, place);
}

export function placesMeet(one: Place, other: Place): boolean {
  if (!overlaps(placedBox(one), placedBox(other), TOUCH)) return false;
  return (!one.turn && !other.turn) || quadsOverlap(placedQuad(one), placedQuad(other), TOUCH);
}

interface Reaches {
  /** The boxes around all that stands in each node. */
  readonly reaches: readonly Box[];
  readonly touching: (box: Box) => readonly number[];
}

const reachesOf = rememberOf((nodes: readonly PageNode[]): Reaches => {
  const reaches = nodes.map(reachOf);
  return { reaches, touching: finder(reaches) };
});

function reachOf(node: PageNode): Box {
  return node.kind === 'box' ? boxReach(node) : placedBox(node.place);
}

const boxReach = rememberOf(({ children, place }: BoxNode): Box =>
  children.length > 0 ? boxAround(reachesOf(children).reaches) : placedBox(place),
);
