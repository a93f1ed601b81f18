import { bottom, boxOf, followEachOther, overlaps, right, spread, type Box } from '../../../../mockup/box';
import { isPlain } from '../../../../look/look';
import { placedBox } from '../../../placed';
import { BY_HAND, EXACT } from '../../../tolerances';
import type { BoxNode, PageNode } from '../../../node';
import type { Slot } from './slots';

/** Px by which a box that paints nothing may grow: more is room that another thing of the group needs. */
const MOST_GROWTH = 12;

/**
 * Boxes that paint nothing are as large as their content, which differs from one to the other. Below each other, they all
 * reach from the first left edge to the last right one, and as far above and below a part that all have; beside each other,
 * from the highest top to the lowest bottom. Where something else stands, they stay as they are.
 * @param others what stands beside the boxes
 */
export function withItemBoxes(
  boxes: readonly BoxNode[],
  slots: readonly Slot[],
  others: readonly PageNode[],
): readonly BoxNode[] {
  const anchors = slots.find((slot) => slot.every((part) => part?.kind === 'text')) as
    readonly PageNode[] | undefined;
  if (!anchors || !boxes.every(({ look, role }) => isPlain(look) && role !== 'box')) return boxes;
  const content = boxes.map(({ place }) => placedBox(place));
  const isColumn = areNear(anchors.map(({ place }) => place.x)) && isApart(content, 'y');
  const isRow = !isColumn && areNear(anchors.map(({ place }) => place.y)) && isApart(content, 'x');
  if (!isColumn && !isRow) return boxes;
  const wanted = isColumn ? inColumn(content, anchors) : inRow(content);
  const obstacles = others.map(({ place }) => placedBox(place));
  const isFree = wanted.every((box, at) => {
    const rest = [...obstacles, ...wanted.filter((_, index) => index !== at)];
    return rest.every((other) => !overlaps(other, box, EXACT) || overlaps(other, content[at]!, EXACT));
  });
  return isFree ? boxes.map((box, at) => ({ ...box, place: { ...box.place, ...wanted[at]! } })) : boxes;
}

function inColumn(content: readonly Box[], anchors: readonly PageNode[]): readonly Box[] {
  const [left, end] = [Math.min(...content.map(({ x }) => x)), Math.max(...content.map(right))];
  const above = Math.max(...content.map(({ y }, at) => anchors[at]!.place.y - y));
  const below = Math.max(...content.map((box, at) => bottom(box) - anchors[at]!.place.y));
  return content.map((box, at) => {
    const { y } = anchors[at]!.place;
    const isSmall = box.y - (y - above) <= MOST_GROWTH && y + below - bottom(box) <= MOST_GROWTH;
    return isSmall ? boxOf(left, y - above, end, y + below) : boxOf(left, box.y, end, bottom(box));
  });
}

function inRow(content: readonly Box[]): readonly Box[] {
  const [top, end] = [Math.min(...content.map(({ y }) => y)), Math.max(...content.map(bottom))];
  return content.map((box) => {
    const isSmall = box.y - top <= MOST_GROWTH && end - bottom(box) <= MOST_GROWTH;
    return isSmall ? boxOf(box.x, top, right(box), end) : box;
  });
}

function areNear(lengths: readonly number[]): boolean {
  return spread(lengths) <= BY_HAND.place;
}

/** True for boxes one behind the other along an axis. */
function isApart(boxes: readonly Box[], axis: 'x' | 'y'): boolean {
  const sorted = boxes.toSorted((one, other) => one[axis] - other[axis]);
  return followEachOther(sorted, axis, BY_HAND.overlap);
}
