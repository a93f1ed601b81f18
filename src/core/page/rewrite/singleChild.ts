import { isPlain } from '../../look/look';
import { sameBox } from '../../mockup/box';
import type { BoxNode, PageNode } from '../node';
import { placedBox } from '../placed';
import { hasSemantics } from '../semantics';

/** The only child of a group. */
function onlyChild({ children: [only, ...more] }: BoxNode): PageNode | null {
  return only && more.length === 0 ? only : null;
}

/** Unwraps the only child of a group without a purpose; a named group gives it its name. */
export function unwrapSingleChild(group: BoxNode): PageNode {
  const only = onlyChild(group)!;
  const { name, layer, nameSaid } = group;
  const isBetter = nameSaid ? !only.nameSaid : group.named && !only.named;
  if (!isBetter) return only;
  return {
    ...only,
    name,
    named: true,
    ...(nameSaid && { nameSaid }),
    merged: [...(only.merged ?? []), layer],
  };
}

/** True for a group that only applies an opacity to its only child. */
export function isOpacityGroup(group: BoxNode): boolean {
  const { opacity, ...others } = group.look;
  const only = onlyChild(group);
  if (!only || opacity === undefined || !isPlain(others) || hasSemantics(group)) return false;
  return only.look.opacity === undefined && !only.look.blend;
}

/** The only child of a group, with the group's opacity. */
export function applyGroupOpacity(group: BoxNode): PageNode {
  const only = unwrapSingleChild(group);
  const merged = new Set([...(only.merged ?? []), group.layer]);
  return { ...only, merged: [...merged], look: { ...only.look, opacity: group.look.opacity } };
}

/**
 * A visible box whose only child is a clip by the same box becomes the clip itself. Places are px of the
 * screen.
 */
export function adoptChildClip(group: BoxNode): BoxNode {
  const only = onlyChild(group);
  if (only?.kind !== 'box' || hasSemantics(only) || only.place.linear) return group;
  const { clip, radii, ...others } = only.look;
  const { look } = group;
  if (isPlain(look)) return group;
  // Overflow is clipped inside the borders (CSS Overflow 3, §3.1).
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
