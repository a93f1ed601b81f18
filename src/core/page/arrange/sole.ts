import { isPlain } from '../../look/look';
import { sameBox } from '../../mockup/box';
import type { BoxNode, PageNode } from '../node';
import { placedBox } from '../placed';
import { isMeant } from './meaning';

/** The only thing in a group. */
function soleIn({ children: [only, ...more] }: BoxNode): PageNode | null {
  return only && more.length === 0 ? only : null;
}

/** What is alone in a group without a purpose: with a name, it is what the name means. */
export function named(group: BoxNode): PageNode {
  const only = soleIn(group)!;
  const { name, layer } = group;
  if (!group.named || only.named) return only;
  return { ...only, name, named: true, merged: [...(only.merged ?? []), layer] };
}

/** True for a group that does nothing but lay an opacity over the only thing in it. */
export function isVeil(group: BoxNode): boolean {
  const { opacity, ...others } = group.look;
  const only = soleIn(group);
  if (!only || opacity === undefined || !isPlain(others) || isMeant(group)) return false;
  return only.look.opacity === undefined && !only.look.blend;
}

/** The only thing in a group, with the opacity that lies over it. */
export function veiled(group: BoxNode): PageNode {
  const only = named(group);
  const merged = new Set([...(only.merged ?? []), group.layer]);
  return { ...only, merged: [...merged], look: { ...only.look, opacity: group.look.opacity } };
}

/** A box that shows, and whose only thing is a clip by the same box, cuts by itself. Places are those of the screen. */
export function takeWindow(group: BoxNode): BoxNode {
  const only = soleIn(group);
  if (only?.kind !== 'box' || isMeant(only) || group.place.turn || only.place.turn) return group;
  const { clip, radii, ...others } = only.look;
  const { look } = group;
  if (isPlain(look)) return group;
  // Overflow is cut off inside of borders (CSS Overflow 3, §3.1).
  if (clip?.kind !== 'box' || !isPlain(others) || look.clip || look.border || look.sides) return group;
  const isSame = sameBox(placedBox(only.place), placedBox(group.place));
  if (!isSame || JSON.stringify(radii) !== JSON.stringify(look.radii)) return group;
  return {
    ...group,
    merged: [...(group.merged ?? []), only.layer, ...(only.merged ?? [])],
    look: { ...look, clip },
    children: only.children,
  };
}
