import { boxAround, bottom, right, type Box, type Edges } from '../../../mockup/box';
import { isMade } from '../../made';
import type { FlowPlace } from '../../node';
import { toQuarters } from '../lengths';
import { HALF_A_LINE, isCutBelow, isText, type Part } from './parts';
import { paddingBox } from './widths';

/** How much more padding there may be below than above before it is free space. */
const DEEP = 1.6;

export interface Insets {
  readonly top: number;
  readonly bottom: number;
  /** Px by which the content sticks out of its box, above and below: padding cannot be negative. */
  readonly over: { readonly top: number; readonly bottom: number };
}

/** The padding above and below; free space beneath the content is no padding. */
export function insets(part: Part, inside: Box): Insets {
  const inner = paddingBox(part);
  const top = extra(inside.y - inner.y);
  const below = extra(bottom(inner) - bottom(inside));
  return {
    top: Math.max(0, top),
    bottom: Math.max(0, isDeep(part, inside) ? Math.min(top, below) : below),
    over: { top: Math.min(0, top), bottom: isCutBelow(part, inside) ? 0 : Math.min(0, below) },
  };
}

export function padded(
  { top, bottom: below }: Insets,
  sides: { readonly left: number; readonly right: number },
): Edges {
  return {
    top,
    bottom: below,
    left: Math.max(0, extraAcross(sides.left)),
    right: Math.max(0, extraAcross(sides.right)),
  };
}

function isDeep(part: Part, inside: Box): boolean {
  // Rows and grids would share out what is free among their lines.
  if (part.content?.direction !== 'column' || isMade(part.node)) return false;
  const inner = paddingBox(part);
  return bottom(inner) - bottom(inside) > Math.max(0, inside.y - inner.y) * DEEP + 8;
}

export function high(part: Part, stretched: boolean, height: number): FlowPlace['high'] {
  if (part.node.kind === 'picture') return 'hug';
  if (isText(part))
    return !part.node.even && part.node.lines.some((line) => line.at !== null) ? 'set' : 'hug';
  if (!part.content) return stretched && height > part.box.height + 1 ? 'hug' : 'set';
  const inside = boxAround(part.content.parts.map((each) => each.box));
  if (isCutBelow(part, inside)) return 'set';
  return isDeep(part, inside) ? 'least' : 'hug';
}

/** True when content goes up to the end of its box: what is left after it is no more than padding. */
export function reachesEnd(before: number, after: number): boolean {
  return after >= -1 && after <= Math.max(before * 1.5, 32);
}

/** Px by which a part may stand off before it gets a margin. */
export const ACROSS_SLACK = 0.5;
export const DOWN_SLACK = 0.3;

/** What each gap has beyond the common one; small differences are left out until they add up. */
export function spaceOut(gaps: readonly number[], common: number, slack: number): readonly number[] {
  let off = 0;
  return gaps.map((gap) => {
    const needed = gap - common + off;
    off = Math.abs(needed) <= slack ? needed : 0;
    return off === needed ? 0 : needed;
  });
}

/**
 * Px: browsers lay out in steps of a 64th (Chromium, `LayoutUnit`, from memory), and files say lengths to hundredths: what is
 * off by both was measured.
 */
const MEASURED = 1 / 64 + 0.005;

/** A length as someone would have written it, where it is one but for what nobody sees. */
export function extra(length: number): number {
  return toQuarters(length, MEASURED);
}

/** The same across, but never more: words that just fit would break. */
export function extraAcross(length: number): number {
  const written = extra(length);
  return written - length > ROUNDED && written !== 0 ? length : written;
}

/** Px by which computed lengths are off. */
const ROUNDED = 0.001;

/** The negative margin of what sticks out by half a line, px; 0 for anything else. */
export function stickingOut(room: number): number {
  return room < 0 && room >= -HALF_A_LINE ? extraAcross(room) : 0;
}

/** The space between boxes beside each other, px; negative where they overlap. */
export function gapsBetween(boxes: readonly Box[]): readonly number[] {
  return boxes.slice(1).map(({ x }, at) => x - right(boxes[at]!));
}

/** Px by which gaps may differ and still be meant as one. */
const SAME_GAP = 0.5;
/** The share of the gaps that the common one has at least. */
const COMMON = 0.6;

/** The gap that most have, else the smallest; never a negative one. */
export function commonGap(gaps: readonly number[]): number {
  if (gaps.length === 0) return 0;
  const counts = gaps.map((gap) => gaps.filter((other) => Math.abs(other - gap) <= SAME_GAP).length);
  const most = Math.max(...counts);
  const gap = most >= COMMON * gaps.length ? gaps[counts.indexOf(most)]! : Math.min(...gaps);
  return Math.max(0, extraAcross(gap));
}
