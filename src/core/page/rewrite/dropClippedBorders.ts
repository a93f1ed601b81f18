import { coloursOf, contrast, edgeContrast, isSeen, PAPER } from '../../look/contrast';
import { contains, largestEdgeDistance, grow, intersection } from '../../mockup/box';
import { NO_RADII } from '../../mockup/outline';
import { placedBox } from '../placed';
import type { BoxNode } from '../node';
import { isPlainBox } from './clippedStroke';

/**
 * Drops the border and shadows of a group's lowest box when the group's clip leaves nothing visible of them.
 * The box then equals the clip. Places are px of the screen.
 */
export function dropClippedBorders(group: BoxNode): BoxNode {
  const [lowest, ...others] = group.children;
  if (!lowest || !isPlainBox(lowest)) return group;
  const { border, shadows = [], fills, sides } = lowest.look;
  if (!fills || sides || shadows.some(({ inset }) => inset)) return group;
  const clip = placedBox(group.place);
  const width = border?.width ?? 0;
  const seen = intersection(clip, grow(placedBox(lowest.place), -width));
  if (!seen || !isRoundedBy(group, lowest, width)) return group;
  const lines = [border, ...shadows].flatMap((line) => (line ? [line.colour] : []));
  // Clipping a box without content changes nothing, except for fractions of a px along its own edges.
  const isClear = lines.length === 0 && others.every(({ place }) => contains(seen, placedBox(place)));
  const grounds = [PAPER, ...fills.flatMap(coloursOf)];
  const strength = isClear
    ? edgeContrast({ fills }, PAPER)
    : lines.length === 0
      ? UNKNOWN_CONTRAST
      : Math.max(...lines.flatMap((line) => grounds.map((ground) => contrast(line, ground))));
  const left = largestEdgeDistance(clip, seen);
  if (left > VISIBLE_STRIP || isSeen(left, strength)) return group;
  const { radii } = group.look;
  const bare: BoxNode = {
    ...lowest,
    place: { ...lowest.place, ...seen },
    look: { fills, ...(radii && { radii }) },
  };
  return { ...group, place: { ...group.place, ...seen }, children: [bare, ...others] };
}

/** The contrast assumed for a strip along the edge whose background is unknown. */
const UNKNOWN_CONTRAST = 0.5;
/** Px: a wider strip is an edge of its own. */
const VISIBLE_STRIP = 0.5;

/** True when the corners of a clip cut off the corners of a box inside its border. */
export function isRoundedBy(clip: BoxNode, box: BoxNode, width: number): boolean {
  const cutting = clip.look.radii ?? NO_RADII;
  return (box.look.radii ?? NO_RADII).every(
    ({ x, y }, at) =>
      x - width <= cutting[at]!.x + VISIBLE_STRIP && y - width <= cutting[at]!.y + VISIBLE_STRIP,
  );
}
