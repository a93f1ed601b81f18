import { coloursOf, contrast, edgeContrast, isSeen, PAPER } from '../../look/contrast';
import { contains, furthestEdges, grow, intersection } from '../../mockup/box';
import { NO_RADII } from '../../mockup/outline';
import { placedBox } from '../placed';
import type { BoxNode } from '../node';
import { isPlainBox } from './cutStroke';

/**
 * A clip that leaves nothing of the border and the shadows of its lowest box, or so little that nobody sees it, leaves a box
 * without them, which is the box of the clip. Places are those of the screen.
 */
export function withoutCutOff(group: BoxNode): BoxNode {
  const [lowest, ...others] = group.children;
  if (group.look.clip?.kind !== 'box' || group.place.turn || !lowest || !isPlainBox(lowest)) return group;
  const { border, shadows = [], fills, sides } = lowest.look;
  if (!fills || sides || shadows.some(({ inset }) => inset)) return group;
  const clip = placedBox(group.place);
  const width = border?.width ?? 0;
  const seen = intersection(clip, grow(placedBox(lowest.place), -width));
  if (!seen || !isRoundedBy(group, lowest, width)) return group;
  const lines = [border, ...shadows].flatMap((line) => (line ? [line.colour] : []));
  // What is cut off of a bare box is as it was, but for the share of a px that its own edges are off.
  const isClear = lines.length === 0 && others.every(({ place }) => contains(seen, placedBox(place)));
  const grounds = [PAPER, ...fills.flatMap(coloursOf)];
  const strength = isClear
    ? edgeContrast({ fills }, PAPER)
    : lines.length === 0
      ? HALF_SEEN
      : Math.max(...lines.flatMap((line) => grounds.map((ground) => contrast(line, ground))));
  const left = furthestEdges(clip, seen);
  if (left > HALF_A_PX || isSeen(left, strength)) return group;
  const { radii } = group.look;
  const bare: BoxNode = {
    ...lowest,
    place: { ...lowest.place, ...seen },
    look: { fills, ...(radii && { radii }) },
  };
  return { ...group, place: { ...group.place, ...seen }, children: [bare, ...others] };
}

/** How strong a strip along the edge is of which it is not known what is drawn there. */
const HALF_SEEN = 0.5;
/** Px: more than that is an edge of its own. */
const HALF_A_PX = 0.5;

/** True when the corners of a clip cut off those of a box, inside of its border. */
export function isRoundedBy(clip: BoxNode, box: BoxNode, width: number): boolean {
  const cutting = clip.look.radii ?? NO_RADII;
  return (box.look.radii ?? NO_RADII).every(
    ({ x, y }, at) => x - width <= cutting[at]!.x + HALF_A_PX && y - width <= cutting[at]!.y + HALF_A_PX,
  );
}
