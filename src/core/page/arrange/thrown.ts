import { contrast, isSeen, PAPER } from '../../look/contrast';
import { outlineRects } from '../../look/boxForm';
import { isPlain, type Look } from '../../look/look';
import { contains, furthestEdges, intersection, moveBox, sameBox, type Box } from '../../mockup/box';
import { hasRadii, NO_RADII } from '../../mockup/outline';
import { placedBox } from '../placed';
import type { BoxNode, PageNode } from '../node';
import { shadowOn } from './coats';
import { isRoundedBy } from './cutOff';
import { isMeant } from './meaning';

/**
 * A blurred shape out of which the box that throws it is cut is that box's shadow: CSS draws none beneath a box (CSS
 * Backgrounds 3, §7.1.1). It comes out as a box that shows nothing else. Places are those of the screen.
 */
export function thrown(group: BoxNode): BoxNode {
  const [shade, ...more] = group.children;
  const { clip, ...others } = group.look;
  if (clip?.kind !== 'path' || !isPlain(others)) return group;
  if (shade?.kind !== 'box' || shade.children.length > 0 || more.length > 0 || isMeant(group)) return group;
  if (shade.place.turn || group.place.turn) return group;
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

/** True for a box that shows nothing but the shadow that it throws. */
export function isThrown(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || node.children.length > 0 || isMeant(node)) return false;
  const { shadows = [], radii: _, ...others } = node.look;
  return shadows.length > 0 && isPlain(others) && shadows.every(({ inset }) => !inset);
}

/** Px by which the box that throws a shadow may miss the one that wears it. */
const MISS = 0.5;

/** What throws a shadow wears it: a box or a picture drawn over it. Children in drawing order, places those of the screen. */
export function wearShadows(children: readonly PageNode[]): readonly PageNode[] {
  if (!children.some(isThrown)) return children;
  const worn: PageNode[] = [];
  for (const child of children) {
    const under = worn.at(-1);
    const shadows = under && isThrown(under) ? shadowsFor(under, child) : null;
    if (under && shadows) {
      worn.pop();
      const merged = [...(child.merged ?? []), under.layer, ...(under.merged ?? [])];
      worn.push({ ...child, merged, look: { ...child.look, shadows } });
    } else worn.push(child);
  }
  return worn;
}

function shadowsFor(under: BoxNode, over: PageNode): Look['shadows'] | null {
  const { clip, filters, blend, opacity, shadows = [], radii = NO_RADII } = over.look;
  const isDressed = clip?.kind === 'path' || filters || blend || opacity !== undefined || over.place.turn;
  if (over.kind === 'text' || isDressed || over.hidden) return null;
  const [from, to] = [placedBox(under.place), placedBox(over.place)];
  const corner = under.look.radii?.[0].x ?? 0;
  if (!sameBox(from, to, MISS) || Math.abs(corner - radii[0].x) > MISS) return null;
  const move = { dx: from.x - to.x, dy: from.y - to.y };
  const moved = under.look.shadows!.map((each) => ({
    ...each,
    dx: each.dx + move.dx,
    dy: each.dy + move.dy,
  }));
  return [...shadows, ...moved];
}

/** A group without the shadows of which its clip leaves nothing that one sees. Places are those of the screen. */
export function withoutCutShadows(group: BoxNode): BoxNode {
  if (group.look.clip?.kind !== 'box' || group.place.turn) return group;
  const clip = placedBox(group.place);
  const cut = group.children.filter(
    (child) => isThrown(child) && isRoundedBy(group, child, 0) && isCutOff(child, clip),
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
  const left = furthestEdges(clip, shared);
  const strength = Math.max(...shadows.map(({ colour }) => contrast(colour, PAPER)));
  return left <= MISS && !isSeen(left, strength);
}
