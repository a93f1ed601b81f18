import { contains, isOnPx, distanceToWholePx, sameBox } from '../../mockup/box';
import { placedBox } from '../placed';
import { edgeContrast, isSeen, PAPER } from '../../look/contrast';
import { isEdgeLine } from '../../look/look';
import type { BoxNode, PageNode } from '../node';
import { hasSemantics } from '../semantics';

/**
 * Merges a group with its backdrop: a lowest child that is a box around all the others. The group takes its
 * look and its place. Places are px of the screen.
 * @param alone true to merge also a box without siblings: a state version that shares its words with the
 * others
 */
export function mergeBackdrop(group: BoxNode, alone = false): BoxNode {
  const [lowest, ...others] = group.children;
  if (!lowest || !isBackdrop(lowest)) return group;
  const { clip, ...look } = group.look;
  // A clip around a single box becomes that box's own clip. A clip equal to the box cuts nothing off.
  const isSole = others.length === 0;
  const isIdle = isSole && clip?.kind === 'box' && !lowest.look.shadows?.some(({ inset }) => !inset);
  const cuts = isIdle || (isSole && clip?.kind === 'path');
  if (isSole && !alone && !cuts) return group;
  const box = placedBox(lowest.place);
  if (!others.every((node) => contains(box, placedBox(node.place), 1))) return group;
  // A clip by a box other than the backdrop stays. A blended or filtered group would be blended twice.
  if (clip && !((clip.kind === 'box' || cuts) && sameBox(placedBox(group.place), box))) return group;
  if (group.look.filters || group.look.fills || group.look.border || group.look.sides) return group;
  return {
    ...group,
    merged: [...(group.merged ?? []), lowest.layer, ...(lowest.merged ?? [])],
    name: group.named ? group.name : lowest.name,
    named: group.named || lowest.named,
    classes: [...group.classes, ...lowest.classes],
    place: lowest.place,
    look: {
      ...lowest.look,
      ...(isIdle ? look : group.look),
      ...(lowest.look.radii && { radii: lowest.look.radii }),
    },
    children: others,
  };
}

function isBackdrop(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || node.children.length > 0 || node.place.linear !== null) return false;
  // Classes belong to the look, so the group takes them with it.
  if (hasSemantics({ ...node, classes: [] })) return false;
  const { opacity, blend, filters, clip, fills, border, sides, shadows = [] } = node.look;
  if (node.look.fillInset !== undefined) return false;
  const dressed = opacity !== undefined || blend !== undefined || filters !== undefined || clip !== undefined;
  if (dressed || (fills ?? border ?? sides) === undefined) return false;
  // A border with a fractional width is drawn exactly only by a box without content, or by one on whole px.
  const around = isOnPx(placedBox(node.place))
    ? []
    : shadows.filter((shadow) => isEdgeLine(shadow) && !shadow.inset);
  const lines = [border?.width ?? 0, ...around.map(({ spread }) => spread)];
  const off = Math.max(...lines.map(distanceToWholePx));
  return off === 0 || !isSeen(off, edgeContrast(node.look, PAPER));
}
