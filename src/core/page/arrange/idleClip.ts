import { isPlain } from '../../look/look';
import { boxAround, intersection, overlaps, type Box } from '../../mockup/box';
import { containsRounded, NO_RADII } from '../../mockup/outline';
import type { BoxNode, PageNode } from '../node';
import { paintedBox, placedBox } from '../placed';
import { boxesOf } from './flow/boxesOf';

/**
 * A clip that cuts nothing off is none; what shows nothing else ends where its things do. What scrolls stays a window.
 * Places are those of the screen.
 */
export function withoutIdleClip(group: BoxNode): BoxNode {
  const { clip, ...look } = group.look;
  if (clip?.kind !== 'box' || group.scroll || group.place.turn) return group;
  const box = placedBox(group.place);
  const radii = look.radii ?? NO_RADII;
  if (!group.children.every((child) => containsRounded(box, radii, paintedBox(child)))) return group;
  const { radii: _, ...others } = look;
  if (!isPlain(others)) return { ...group, look };
  const content = boxAround(group.children.map(({ place }) => placedBox(place)));
  return { ...group, place: { ...group.place, ...content }, look: others };
}

/**
 * A clip that shows nothing by itself reaches no further than what it cuts where it would lie over other things. Children in
 * drawing order, places those of the screen.
 */
export function tightWindows(children: readonly PageNode[]): readonly PageNode[] {
  if (children.length < 2 || !children.some(isWindow)) return children;
  const { boxes, touching } = boxesOf(children);
  return children.map((child, at) => {
    const tight = isWindow(child) ? tightBox(child) : null;
    if (!tight) return child;
    const isFreed = touching(at).some((other) => {
      const [box, beside] = [boxes[at]!, boxes[other]!];
      return other !== at && overlaps(box, beside, TOUCH) && !overlaps(tight, beside, TOUCH);
    });
    return isFreed ? { ...child, place: { ...child.place, ...tight } } : child;
  });
}

/** Px by which things that touch may overlap. */
const TOUCH = 1;

/** True for a clip by a sharp box that nothing shows. */
function isWindow(node: PageNode): node is BoxNode {
  const { kind, look, scroll, place } = node;
  return (
    kind === 'box' && look.clip?.kind === 'box' && Object.keys(look).length === 1 && !scroll && !place.turn
  );
}

function tightBox({ place, children }: BoxNode): Box | null {
  return children.length > 0 ? intersection(placedBox(place), boxAround(children.map(paintedBox))) : null;
}
