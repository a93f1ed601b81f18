import { contains, isOnPx, offPx, sameBox } from '../../mockup/box';
import { placedBox } from '../placed';
import { edgeContrast, isSeen, PAPER } from '../../look/contrast';
import { isLine } from '../../look/look';
import type { BoxNode, PageNode } from '../node';
import { isMeant } from './meaning';

/**
 * When the lowest child of a group is a box that holds all the others, it is the group's own background:
 * the group takes its look and its place. Places are those of the screen.
 * @param alone true to do so where there is nothing but the box: a version that shares its words with the others
 */
export function mergeBackdrop(group: BoxNode, alone = false): BoxNode {
  const [lowest, ...others] = group.children;
  if (!lowest || !isBackdrop(lowest)) return group;
  const { clip, ...look } = group.look;
  // What cuts a single box alone is that box's own clip; where it is the very box it cuts nothing off.
  const isSole = others.length === 0;
  const isIdle = isSole && clip?.kind === 'box' && !lowest.look.shadows?.some(({ inset }) => !inset);
  const cuts = isIdle || (isSole && clip?.kind === 'path');
  if (isSole && !alone && !cuts) return group;
  const box = placedBox(lowest.place);
  if (!others.every((node) => contains(box, placedBox(node.place), 1))) return group;
  // A clip that is another box than the backdrop stays one; blended or filtered groups would blend twice.
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
  if (node.kind !== 'box' || node.children.length > 0 || node.place.turn !== null) return false;
  // Classes are the look's: the group wears them with it.
  if (isMeant({ ...node, classes: [] })) return false;
  const { opacity, blend, filters, clip, fills, border, sides, shadows = [] } = node.look;
  if (node.look.fillInset !== undefined) return false;
  const dressed = opacity !== undefined || blend !== undefined || filters !== undefined || clip !== undefined;
  if (dressed || (fills ?? border ?? sides) === undefined) return false;
  // Lines of a part of a px are drawn so by what has nothing inside of it, or whose edges lie on whole px.
  const around = isOnPx(placedBox(node.place))
    ? []
    : shadows.filter((shadow) => isLine(shadow) && !shadow.inset);
  const lines = [border?.width ?? 0, ...around.map(({ spread }) => spread)];
  const off = Math.max(...lines.map(offPx));
  return off === 0 || !isSeen(off, edgeContrast(node.look, PAPER));
}
