import { BY_HAND } from '../../tolerances';
import { isButton } from '../../../sort/vocabulary';
import type { Box } from '../../../mockup/box';
import type { WidthMode } from '../../place';
import { isAvatar, isText, type Part } from './parts';
import { reachesEnd } from './spacing';
import { canFitContent, rigidWidthMode, fillsRow, hasNoLook, TOGETHER } from './widths';
import { gapsOf } from './rowGaps';

/** Common practice, no source: a part of this share of a row is its main part. */
const MAIN_SHARE = 0.3;

/**
 * Common practice, no source: a line of this share of a row is read, and gets more width in a wider window.
 */
const LONG_LINE = 0.6;

/** True for boxes of equal width that share a row. */
export function areEquallyWide(
  parts: readonly Part[],
  gaps: readonly number[],
  inner: Box,
  before: number,
  after: number,
): boolean {
  const first = parts[0]!.box.width;
  const alike =
    parts.every(({ box, node }) => node.kind === 'box' && Math.abs(box.width - first) <= BY_HAND.size) &&
    gaps.every((gap) => Math.abs(gap - gaps[0]!) <= BY_HAND.size);
  const filling = parts.reduce((sum, { box }) => sum + box.width, 0) >= inner.width * 0.5;
  return parts.length > 1 && alike && filling && reachesEnd(before, after);
}

/** This many adjacent boxes are no cells yet. */
const MOST_BY_CHANCE = 2;

/** Px: narrower boxes are lines. */
const NARROWEST_CELL = 8;

/** True for adjacent boxes that fill their row, most of equal width whatever they hold: cells of a table. */
export function areCells(
  parts: readonly Part[],
  gaps: readonly number[],
  before: number,
  after: number,
): boolean {
  if (parts.length <= MOST_BY_CHANCE || [before, after, ...gaps].some((gap) => Math.abs(gap) > BY_HAND.step))
    return false;
  if (!parts.every(({ node, box }) => node.kind === 'box' && box.width >= NARROWEST_CELL && !isAvatar(node)))
    return false;
  const isCommon = ({ box }: Part) =>
    parts.filter((other) => Math.abs(other.box.width - box.width) <= BY_HAND.size).length * 2 > parts.length;
  return parts.some(isCommon);
}

/** True for words that start at even steps, whatever their length: columns, not gaps. */
export function haveEvenSteps(parts: readonly Part[], gaps: readonly number[]): boolean {
  const steps = parts.slice(1).map(({ box }, at) => box.x - parts[at]!.box.x);
  const [first] = steps;
  return (
    first !== undefined &&
    steps.length > 1 &&
    steps.every((step) => Math.abs(step - first) <= BY_HAND.step) &&
    gaps.some((gap) => Math.abs(gap - gaps[0]!) > 1)
  );
}

export function rowWidthModes(
  parts: readonly Part[],
  inner: Box,
  before: number,
  after: number,
): readonly WidthMode[] {
  const firm = parts.map((each) => rigidWidthMode(each));
  if (firm.includes('rest') || !reachesEnd(before, after)) return firm;
  let main: number | null = null;
  // Parts at both ends of a row leave the space between them free.
  const gaps = gapsOf(parts);
  const largestGap = Math.max(0, ...gaps);
  parts.forEach((each, at) => {
    const isRoomy =
      each.box.width >= MAIN_SHARE * inner.width &&
      (!canFitContent(each) || each.box.width >= 0.5 * inner.width);
    const isPlainText =
      isText(each) && each.node.lines.length < 2 && each.box.width < LONG_LINE * inner.width;
    // A row of words grows into the free space after it.
    const isLoose = hasNoLook(each) && fillsRow(each) && (gaps[at] ?? 0) > TOGETHER;
    const isMain = isRoomy && !isPlainText && !isLoose && each.box.width > largestGap;
    if (!isMain || each.node.kind === 'picture' || isPlainButton(each)) return;
    if (main === null || each.box.width > parts[main]!.box.width) main = at;
  });
  return firm.map((widthMode, at) => (at === main ? 'rest' : widthMode));
}

/** True for a button beside other parts: it has the width of its words. */
function isPlainButton({ node }: Part): boolean {
  return isButton(node.role);
}
