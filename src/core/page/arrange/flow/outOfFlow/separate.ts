import { BY_HAND } from '../../../tolerances';
import { area, bottom, contains, overlaps, right, type Box } from '../../../../mockup/box';
import type { PageNode } from '../../../node';
import { lettersIn } from '../../letters';
import { hasWords, isLeafWithoutText } from '../nodePredicates';
import { nodeBoxes } from '../nodeBoxes';

/** Whether an out-of-flow node is painted beneath or above the parts in the flow. */
type Layer = 'below' | 'above';

interface Separated {
  readonly flowing: readonly PageNode[];
  readonly below: readonly PageNode[];
  readonly above: readonly PageNode[];
}

/**
 * Takes intended overlaps out of the flow: nodes beneath most of the box, nodes that stick out, and the
 * smaller of two.
 */
export function separate(children: readonly PageNode[], frame: Box, cuts: boolean): Separated {
  const { boxes, cores, touching } = nodeBoxes(children);
  const loose = new Map<number, Layer>();
  children.forEach((child, at) => {
    const fits = contains(frame, boxes[at]!, BY_HAND.overhang) || (cuts && runsOut(child, boxes[at]!, frame));
    if (!fits || isTransformed(child) || child.hidden) loose.set(at, at === 0 ? 'below' : 'above');
  });
  for (const [lower, low] of boxes.entries()) {
    for (const upper of touching(lower)) {
      if (upper <= lower) continue;
      if (loose.has(lower)) break;
      const high = boxes[upper]!;
      if (loose.has(upper) || !overlaps(cores[lower]!, cores[upper]!, BY_HAND.overlap)) continue;
      const isGround =
        contains(low, high, BY_HAND.overlap) &&
        isGroundBox(children[lower]!, children[upper]!, area(low) * 2 >= area(frame));
      // A frame over all of a node lies on it.
      const isFrame = contains(high, low, BY_HAND.overlap) && isLeafWithoutText(children[upper]!);
      if (isGround) loose.set(lower, 'below');
      else if (isFrame) loose.set(upper, 'above');
      else if (contains(low, high, BY_HAND.overlap) || area(high) <= area(low)) loose.set(upper, 'above');
      else loose.set(lower, 'below');
    }
  }
  keepDrawnOrder(children, loose);
  const pick = (where: Layer | undefined) => children.filter((_, at) => loose.get(at) === where);
  return { flowing: pick(undefined), below: pick('below'), above: pick('above') };
}

/**
 * Of two overlapping nodes the later is painted above: the other one goes beneath with it, or where it
 * cannot, the later one above.
 */
function keepDrawnOrder(children: readonly PageNode[], loose: Map<number, Layer>): void {
  if (loose.size === 0) return;
  const { cores, touching } = nodeBoxes(children);
  const rank = (at: number) => ({ below: 0, flows: 1, above: 2 })[loose.get(at) ?? 'flows'];
  const under = (at: number) =>
    touching(at).filter(
      (other) =>
        other < at && !children[other]!.hidden && overlaps(cores[other]!, cores[at]!, BY_HAND.overlap),
    );
  children.forEach((child, upper) => {
    if (child.hidden) return;
    for (const lower of under(upper)) {
      if (rank(lower) <= rank(upper)) continue;
      if (under(lower).every((other) => rank(other) === 0)) loose.set(lower, 'below');
      else loose.set(upper, 'above');
    }
  });
}

/**
 * True for words of a line that continues past the right edge of a clipping box, or of a list that continues
 * below it.
 */
function runsOut(node: PageNode, box: Box, frame: Box): boolean {
  const room = right(frame) - box.x;
  const rest = { ...box, width: Math.min(box.width, room) };
  const list = { ...frame, height: Math.max(frame.height, bottom(box) - frame.y) };
  return room > 0 && contains(list, rest, BY_HAND.overlap) && hasWords(node);
}

/**
 * True for a background of other nodes: an empty box, or among nodes that take most of the parent, pictures
 * and nodes with fewer words than those above.
 */
function isGroundBox(node: PageNode, over: PageNode, isMost: boolean): boolean {
  if (!isMost) return node.kind === 'box' && isLeafWithoutText(node);
  return node.kind !== 'text' && lettersIn(node) <= lettersIn(over);
}

/** Stretched letters flow; rotated or skewed nodes do not. */
function isTransformed({ place }: PageNode): boolean {
  const { linear } = place;
  return linear !== null && !(linear[1] === 0 && linear[2] === 0 && linear[0] > 0 && linear[3] > 0);
}
