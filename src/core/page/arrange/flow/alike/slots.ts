import { ownName } from '../../../../sort/tellingNames';
import type { BoxNode, PageNode } from '../../../node';
import { shapeOf } from '../../../nodeShape';

/** One part of every box, in the order of the boxes; null where a box lacks it. */
export type Slot = readonly (PageNode | null)[];

/** Longer boxes are no repeated things, and would take long to align. */
const MOST_PARTS = 40;

/**
 * The parts of boxes that correspond: one by one where all are built alike; else as the box with the most parts has
 * them, by kind, name and place, in their order (Needleman and Wunsch, 1970).
 */
export function slotsOf(boxes: readonly BoxNode[]): readonly Slot[] {
  const fullest = boxes.reduce((one, other) => (other.children.length > one.children.length ? other : one));
  if (new Set(boxes.map(shapeOf)).size === 1 || fullest.children.length > MOST_PARTS)
    return fullest.children.map((_, slot) => boxes.map(({ children }) => children[slot] ?? null));
  const found = boxes.map((box) => (box === fullest ? box.children : alignedTo(fullest, box)));
  return fullest.children.map((_, slot) => found.map((parts) => parts[slot] ?? null));
}

/** The parts of a box at the slots of another one. */
function alignedTo(fullest: BoxNode, box: BoxNode): readonly (PageNode | null)[] {
  const [slots, parts] = [fullest.children, box.children];
  // best[i][j]: the most that the first i slots and j parts have in common.
  const best = Array.from({ length: slots.length + 1 }, () => new Array<number>(parts.length + 1).fill(0));
  for (let i = 1; i <= slots.length; i++)
    for (let j = 1; j <= parts.length; j++)
      best[i]![j] = Math.max(
        best[i - 1]![j]!,
        best[i]![j - 1]!,
        best[i - 1]![j - 1]! + likeness(slots[i - 1]!, parts[j - 1]!, fullest, box),
      );
  const made = new Array<PageNode | null>(slots.length).fill(null);
  let [i, j] = [slots.length, parts.length];
  while (i > 0 && j > 0) {
    if (best[i]![j] === best[i - 1]![j]) i -= 1;
    else if (best[i]![j] === best[i]![j - 1]) j -= 1;
    else {
      made[i - 1] = parts[j - 1]!;
      [i, j] = [i - 1, j - 1];
    }
  }
  return made;
}

/** Px by which parts at one place of two boxes may stand apart. */
const NEAR = 12;

/** How much speaks for two parts being the same one: kind, then name and place; 0 for parts of different kinds. */
function likeness(one: PageNode, other: PageNode, around: BoxNode, otherAround: BoxNode): number {
  if (kindOf(one) !== kindOf(other)) return 0;
  const [name, otherName] = [ownName(one), ownName(other)];
  const fromStart = one.place.x - around.place.x - (other.place.x - otherAround.place.x);
  const fromEnd = endOf(one) - endOf(around) - (endOf(other) - endOf(otherAround));
  const isNear = Math.min(Math.abs(fromStart), Math.abs(fromEnd)) <= NEAR;
  const isNamed = name !== null && name === otherName;
  return (isNamed || isNear ? 1 : 0) + (isNamed ? 1 : 0) + (isNear ? 0.5 : 0);
}

function endOf({ place }: PageNode): number {
  return place.x + place.width;
}

/** An icon may be a picture, or boxes without words. */
function kindOf(node: PageNode): string {
  if (node.kind === 'text') return 'text';
  return node.kind === 'box' && node.children.some((child) => kindOf(child) === 'text') ? 'words' : 'drawing';
}
