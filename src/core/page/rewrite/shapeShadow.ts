import { BY_HAND, EXACT, SNAPPED } from '../tolerances';
import { isPlain, type LookShadow } from '../../look/look';
import { area, intersection, type Box } from '../../mockup/box';
import { NO_RADII } from '../../mockup/outline';
import type { BoxNode } from '../node';

/** Px: a sharp shape that sticks out further is an element of its own. */
const FARTHEST_SHADOW = 12;

/** The strongest sharp shadow, as contrast, whose corner radii are invisible. */
const FAINT_SHADOW = 0.2;

/**
 * The shadow that a shape draws beneath a box, blurred or slightly offset; null when the shape is no shadow.
 */
export function shadowOn(under: BoxNode, box: Box, radii = NO_RADII): LookShadow | null {
  const { filters = [], fills = [], opacity = 1, radii: corners = NO_RADII, ...others } = under.look;
  const [[blur], [fill]] = [filters, fills];
  if (filters.length > 1 || (blur && blur.kind !== 'blur')) return null;
  if (fill?.kind !== 'solid' || fills.length > 1 || !isPlain(others)) return null;
  const shade = under.place;
  const spread = (shade.width - box.width) / 2;
  if (Math.abs(spread - (shade.height - box.height) / 2) > SNAPPED) return null;
  const shadow = {
    inset: false,
    dx: shade.x + shade.width / 2 - box.x - box.width / 2,
    dy: shade.y + shade.height / 2 - box.y - box.height / 2,
    deviation: blur?.deviation ?? 0,
    spread: Math.abs(spread) < 0.01 ? 0 : spread,
    colour: { ...fill.colour, alpha: fill.colour.alpha * opacity },
  };
  const own = radii[0].x;
  const off = Math.abs(corners[0].x - (own > 0 ? Math.max(0, own + spread) : 0));
  const isSharp = !blur && shadow.colour.alpha > FAINT_SHADOW;
  return off <= (isSharp ? EXACT : BY_HAND.corner) && (blur || (isNear(shadow) && liesUnder(shade, box)))
    ? shadow
    : null;
}

/** The share of a sharp shadow that its box hides: a shape beside the box is a part of its own. */
const HIDDEN_SHARE = 0.5;

function liesUnder(shade: Box, box: Box): boolean {
  const hidden = intersection(shade, box);
  return hidden !== null && area(hidden) >= HIDDEN_SHARE * area(shade);
}

/** True for a sharp shadow close enough to read as one: around the box, or slightly beside it. */
function isNear({ dx, dy, spread }: LookShadow): boolean {
  const reach = Math.max(Math.abs(dx), Math.abs(dy)) + spread;
  return spread >= 0 && reach > EXACT && reach <= FARTHEST_SHADOW;
}
