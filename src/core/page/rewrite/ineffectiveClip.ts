import { BY_HAND } from '../tolerances';
import { isPlain } from '../../look/look';
import { boxAround, intersection, overlaps, type Box } from '../../mockup/box';
import { containsRounded, NO_RADII } from '../../mockup/outline';
import type { BoxNode, PageNode } from '../node';
import { paintedBox, placedBox } from '../placed';
import { nodeBoxes } from '../arrange/flow/nodeBoxes';

/**
 * Drops a clip that cuts nothing off; a group without a look then has the size of its content. Scroll areas
 * keep their clip. Places are px of the screen.
 */
export function dropIneffectiveClip(group: BoxNode): BoxNode {
  const { clip, ...look } = group.look;
  if (clip === undefined || group.scroll) return group;
  const box = placedBox(group.place);
  const radii = look.radii ?? NO_RADII;
  if (!group.children.every((child) => containsRounded(box, radii, paintedBox(child)))) return group;
  const { radii: _, ...others } = look;
  if (!isPlain(others)) return { ...group, look };
  const content = boxAround(group.children.map(({ place }) => placedBox(place)));
  return { ...group, place: { ...group.place, ...content }, look: others };
}

/**
 * Shrinks a clip without a look to the content that it cuts, where it would lie over other nodes. Children
 * are in drawing order, places are px of the screen.
 */
export function shrinkClips(children: readonly PageNode[]): readonly PageNode[] {
  if (!children.some(isInvisibleClip)) return children;
  const { boxes, touching } = nodeBoxes(children);
  return children.map((child, at) => {
    const tight = isInvisibleClip(child) ? tightBox(child) : null;
    if (!tight) return child;
    const isFreed = touching(at).some((other) => {
      const [box, beside] = [boxes[at]!, boxes[other]!];
      return (
        other !== at && overlaps(box, beside, BY_HAND.overlap) && !overlaps(tight, beside, BY_HAND.overlap)
      );
    });
    return isFreed ? { ...child, place: { ...child.place, ...tight } } : child;
  });
}

/** True for a clip by a sharp box without a look. */
function isInvisibleClip(node: PageNode): node is BoxNode {
  const { kind, look, scroll, place } = node;
  return (
    kind === 'box' && look.clip?.kind === 'box' && Object.keys(look).length === 1 && !scroll && !place.linear
  );
}

function tightBox({ place, children }: BoxNode): Box | null {
  return children.length > 0 ? intersection(placedBox(place), boxAround(children.map(paintedBox))) : null;
}
