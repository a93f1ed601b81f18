import { MEASURED, SNAPPED } from '../../tolerances';
import type { Box } from '../../../mockup/box';
import type { Layout } from '../../layout';
import type { TextNode } from '../../node';
import type { WidthMode } from '../../place';
import { measuringError } from './textWrapping';
import { isText, type Part } from './parts';
import { commonGap, gapsBetween } from './spacing';
import { hasNoLook, TOGETHER } from './widths';

/** The padding that moves visibly off-centre content to where it was drawn, px. */
export function offCentrePadding(difference: number): number {
  return difference > MEASURED.middle * 1.5 ? difference : 0;
}

export function gapsOf(parts: readonly Part[]): readonly number[] {
  return gapsBetween(parts.map(({ box }) => box));
}

/** Common practice, no source: spaces are multiples of 4 px, and 16 px separate words from the next part. */
const SPACE_STEP = 4;

export const PLAIN_GAP = 16;

/**
 * Words may end anywhere, so the space after them was not chosen. The part around them is widened until a
 * plain gap is left, equal in rows that differ in words only.
 */
export function withPlainGap(parts: readonly Part[], widthModes: readonly WidthMode[]): readonly Part[] {
  const at = widthModes.indexOf('rest');
  const [part, next] = [parts[at], parts[at + 1]];
  if (!part || !next) return parts;
  const gaps = gapsOf(parts);
  const room = gaps[at]!;
  const others = gaps.toSpliced(at, 1);
  const even = others.length > 0 ? commonGap(others) : Math.min(PLAIN_GAP, room - (room % SPACE_STEP));
  const plain = hasRaggedEnd(part)
    ? even
    : isStretched(part)
      ? Math.max(0, room - measuringError(part))
      : room;
  if (plain >= room) return parts;
  return parts.with(at, { ...part, box: { ...part.box, width: part.box.width + room - plain } });
}

/** True for a box without a look around parts at its start. */
function hasRaggedEnd(part: Part): boolean {
  const { content, box, below, above } = part;
  if (!content || !hasNoLook(part) || below.length + above.length > 0) return false;
  return content.direction === 'column' && content.parts.every((each) => beginsWith(each, box));
}

function beginsWith(part: Part, { x, width }: Box): boolean {
  if (Math.abs(part.box.x - x) > SNAPPED) return false;
  if (isText(part)) return part.node.look.type?.align === 'start';
  return part.box.width < width - SNAPPED || hasRaggedEnd(part);
}

export function isStretched(part: Part): boolean {
  return isText(part) && (part.node.place.linear !== null || hasSpacedLetters(part.node));
}

/** True for a sentence with letter-spaced words that keep their drawn width. */
function hasSpacedLetters({ look, lines }: TextNode): boolean {
  const common = look.type?.letterSpacing ?? 0;
  return lines.some(({ spans }) =>
    spans.some((span) => (span.look.type?.letterSpacing ?? common) !== common),
  );
}

export function justifyRow(
  gaps: readonly number[],
  before: number,
  after: number,
  inner: Box,
  middle: number,
): Layout['justify'] {
  if (Math.abs(before - after) <= middle && before > 0) {
    const isTight = gaps.every((gap) => gap <= TOGETHER);
    if (isTight && before > Math.max(16, inner.height * 0.5)) return 'middle';
  }
  const isEven = gaps.every((gap) => gap > TOGETHER && Math.abs(gap - gaps[0]!) <= MEASURED.width);
  if (gaps.length > 0 && isEven && after <= Math.max(before * 1.5, 40)) return 'between';
  const isAtEnd = after >= -1 && after * 2 < before && before > TOGETHER;
  if (isAtEnd && gaps.every((gap) => gap < before)) return 'end';
  return 'start';
}

/** A free gap is at least this many times as large as the others. */
export const LARGER_GAP = 1.5;

/** The index of the gap that takes the free space: the only large one, or the last of several free ones. */
export function freeGap(gaps: readonly number[], before: number, after: number): number | null {
  if (after > Math.max(before * 1.5, 40)) return null;
  const largest = Math.max(0, ...gaps);
  const large = gaps.filter((gap) => gap * LARGER_GAP > largest);
  if (large.length > 1) return large.every((gap) => gap > TOGETHER) ? gaps.lastIndexOf(large.at(-1)!) : null;
  return largest >= 16 ? gaps.indexOf(largest) : null;
}
