import { SNAPPED } from '../tolerances';
import { contrast, isSeen, PAPER } from '../../look/contrast';
import { outlineRects } from '../../look/boxForm';
import { isPlain, type Look } from '../../look/look';
import { contains, largestEdgeDistance, intersection, moveBox, sameBox, type Box } from '../../mockup/box';
import { hasRadii, NO_RADII } from '../../mockup/outline';
import { placedBox } from '../placed';
import type { BoxNode, PageNode } from '../node';
import { shadowOn } from './shapeShadow';
import { isRoundedBy } from './dropClippedBorders';
import { hasSemantics } from '../semantics';

/**
 * A blurred shape, clipped to the outside of the box that casts it, becomes that box's shadow: CSS draws none
 * beneath a box (CSS Backgrounds 3, §7.1.1). The result is a box with nothing but the shadow. Places are px
 * of the screen.
 */
export function shadowFromClippedShape(group: BoxNode): BoxNode {
  const [shade, ...more] = group.children;
  const { clip, ...others } = group.look;
  if (clip?.kind !== 'path' || !isPlain(others)) return group;
  if (shade?.kind !== 'box' || shade.children.length > 0 || more.length > 0 || hasSemantics(group))
    return group;
  if (shade.place.linear) return group;
  const rects = outlineRects(clip) ?? [];
  const [outer, hole, ...further] = rects.toSorted((one, other) => other.box.width - one.box.width);
  if (!outer || !hole || further.length > 0 || hasRadii(outer.radii)) return group;
  if (!contains(outer.box, hole.box)) return group;
  const { x, y } = group.place;
  const box = moveBox(hole.box, x, y);
  const shadow = shadowOn(shade, box, hole.radii);
  if (!shadow) return group;
  const look: Look = { ...(hasRadii(hole.radii) && { radii: hole.radii }), shadows: [shadow] };
  return { ...group, place: { ...group.place, ...box }, look, children: [] };
}

/** True for a box with nothing but a shadow. */
export function isShadowOnly(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || node.children.length > 0 || hasSemantics(node)) return false;
  const { shadows = [], radii: _, ...others } = node.look;
  return shadows.length > 0 && isPlain(others) && shadows.every(({ inset }) => !inset);
}

/**
 * Gives a shadow to the box or picture drawn over it that casts it. Children are in drawing order, places are
 * px of the screen.
 */
export function attachShadows(children: readonly PageNode[]): readonly PageNode[] {
  const kept: PageNode[] = [];
  for (const child of children) {
    const under = kept.at(-1);
    const shadows = under && isShadowOnly(under) ? shadowsFor(under, child) : null;
    if (under && shadows) {
      kept.pop();
      const merged = [...(child.merged ?? []), under.layer, ...(under.merged ?? [])];
      kept.push({ ...child, merged, look: { ...child.look, shadows } });
    } else kept.push(child);
  }
  return kept;
}

function shadowsFor(under: BoxNode, over: PageNode): Look['shadows'] | null {
  const { clip, filters, blend, opacity, shadows = [], radii = NO_RADII } = over.look;
  const isDressed = clip?.kind === 'path' || filters || blend || opacity !== undefined || over.place.linear;
  if (over.kind === 'text' || isDressed || over.hidden) return null;
  const [from, to] = [placedBox(under.place), placedBox(over.place)];
  const corner = under.look.radii?.[0].x ?? 0;
  if (!sameBox(from, to, SNAPPED) || Math.abs(corner - radii[0].x) > SNAPPED) return null;
  const move = { dx: from.x - to.x, dy: from.y - to.y };
  const moved = under.look.shadows!.map((each) => ({
    ...each,
    dx: each.dx + move.dx,
    dy: each.dy + move.dy,
  }));
  return [...shadows, ...moved];
}

/** Drops the shadows of which a group's clip leaves nothing visible. Places are px of the screen. */
export function dropClippedShadows(group: BoxNode): BoxNode {
  const clip = placedBox(group.place);
  const cut = group.children.filter(
    (child) => isShadowOnly(child) && isRoundedBy(group, child, 0) && isCutOff(child, clip),
  );
  if (cut.length === 0) return group;
  const layers = cut.flatMap(({ layer, merged = [] }) => [layer, ...merged]);
  return {
    ...group,
    merged: [...(group.merged ?? []), ...layers],
    children: group.children.filter((child) => !cut.includes(child)),
  };
}

function isCutOff({ place, look: { shadows = [] } }: PageNode, clip: Box): boolean {
  const shared = intersection(clip, placedBox(place));
  if (!shared) return false;
  const left = largestEdgeDistance(clip, shared);
  const strength = Math.max(...shadows.map(({ colour }) => contrast(colour, PAPER)));
  return left <= SNAPPED && !isSeen(left, strength);
}
