import { BY_HAND, COMPUTED, MEASURED, SNAPPED } from '../../tolerances';
import { boxAround, bottom, right, type Box, type Edges } from '../../../mockup/box';
import { isAnonymous } from '../../anonymousBox';
import type { FlowPlace } from '../../place';
import { toQuarters } from '../lengths';
import { isCutBelow, isText, type Part } from './parts';
import { paddingBox } from './widths';

/** Padding below that exceeds this many times the padding above is free space. */
const FREE_RATIO = 1.6;

export interface Insets {
  readonly top: number;
  readonly bottom: number;
  /** Px by which the content overflows its box above and below: padding cannot be negative. */
  readonly over: { readonly top: number; readonly bottom: number };
}

/** The vertical padding; free space beneath the content is no padding. */
export function insets(part: Part, inside: Box): Insets {
  const inner = paddingBox(part);
  const { top, below } = settled(
    roundedLength(inside.y - inner.y),
    roundedLength(bottom(inner) - bottom(inside)),
  );
  // A box around parts that moved ends below them.
  if (part.content?.isMoved)
    return { top: Math.max(0, top), bottom: Math.max(0, top), over: { top: Math.min(0, top), bottom: 0 } };
  return {
    top: Math.max(0, top),
    bottom: Math.max(0, isDeep(part, inside) ? Math.min(top, below) : below),
    over: { top: Math.min(0, top), bottom: isCutBelow(part, inside) ? 0 : Math.min(0, below) },
  };
}

/** Content that overhangs its box by a px, with as much room on the other side, is drawn a px off: it stands in its box. */
function settled(top: number, below: number): { readonly top: number; readonly below: number } {
  const over = Math.min(top, below);
  const rest = top + below;
  if (over >= 0 || over < -BY_HAND.overlap || rest < 0) return { top, below };
  return top < 0 ? { top: 0, below: rest } : { top: rest, below: 0 };
}

export function padded(
  { top, bottom: below }: Insets,
  sides: { readonly left: number; readonly right: number },
): Edges {
  return {
    top,
    bottom: below,
    left: Math.max(0, roundedDownLength(sides.left)),
    right: Math.max(0, roundedDownLength(sides.right)),
  };
}

function isDeep(part: Part, inside: Box): boolean {
  // Rows and grids would share out the free space among their lines.
  if (part.content?.direction !== 'column' || isAnonymous(part.node)) return false;
  const inner = paddingBox(part);
  return bottom(inner) - bottom(inside) > Math.max(0, inside.y - inner.y) * FREE_RATIO + 8;
}

export function heightModeOf(part: Part, stretched: boolean, height: number): FlowPlace['heightMode'] {
  if (part.node.kind === 'picture') return 'fit';
  if (isText(part))
    return !part.node.hasRegularLines && part.node.lines.some((line) => line.at !== null) ? 'drawn' : 'fit';
  if (!part.content) return stretched && height > part.box.height + 1 ? 'fit' : 'drawn';
  const inside = boxAround(part.content.parts.map((each) => each.box));
  if (isCutBelow(part, inside)) return 'drawn';
  return isDeep(part, inside) ? 'min' : 'fit';
}

/** True when content ends at the end of its box, except for padding. */
export function reachesEnd(before: number, after: number): boolean {
  return after >= -1 && after <= Math.max(before * 1.5, 32);
}

/** The excess of each gap over the common one; small differences are left out until they add up. */
export function spaceOut(gaps: readonly number[], common: number, slack: number): readonly number[] {
  let off = 0;
  return gaps.map((gap) => {
    const needed = gap - common + off;
    off = Math.abs(needed) <= slack ? needed : 0;
    return off === needed ? 0 : needed;
  });
}

/**
 * The same for a column, where parts may stand a px off as long as the space beneath them makes up for it: what follows
 * the column stands where it was drawn.
 */
export function spaceOutColumn(
  gaps: readonly number[],
  common: number,
  beneath: number,
): { readonly spaces: readonly number[]; readonly beneath: number } {
  const spaces = spaceOut(gaps, common, BY_HAND.overlap);
  const off = gaps.reduce((all, gap, at) => all + gap - common - spaces[at]!, 0);
  return beneath + off < 0 || (off !== 0 && beneath === 0)
    ? { spaces: spaceOut(gaps, common, MEASURED.down), beneath }
    : { spaces, beneath: beneath + off };
}

/**
 * Px: browsers lay out in 64ths (Chromium, `LayoutUnit`, from memory), and files write hundredths: a length
 * off by both was measured.
 */
const MEASURING_STEP = 1 / 64 + 0.005;

/** The length as a developer would write it, if the difference is invisible. */
export function roundedLength(length: number): number {
  return toQuarters(length, MEASURING_STEP);
}

/** The same for horizontal lengths, never rounded up: words that just fit would wrap. */
export function roundedDownLength(length: number): number {
  const written = roundedLength(length);
  return written - length > COMPUTED.length && written !== 0 ? length : written;
}

/** The negative margin of an overhang of half a line, px; 0 for any other. */
export function overhangMargin(room: number): number {
  return room < 0 && room >= -BY_HAND.overhang ? roundedDownLength(room) : 0;
}

/** The spaces between boxes beside each other, px; negative where they overlap. */
export function gapsBetween(boxes: readonly Box[]): readonly number[] {
  return boxes.slice(1).map(({ x }, at) => x - right(boxes[at]!));
}

/** The smallest share of gaps that have the common length. */
const COMMON_SHARE = 0.6;

/** The gap that most have, else the smallest; never negative. */
export function commonGap(gaps: readonly number[]): number {
  if (gaps.length === 0) return 0;
  const counts = gaps.map((gap) => gaps.filter((other) => Math.abs(other - gap) <= SNAPPED).length);
  const most = Math.max(...counts);
  const gap = most >= COMMON_SHARE * gaps.length ? gaps[counts.indexOf(most)]! : Math.min(...gaps);
  return Math.max(0, roundedDownLength(gap));
}
