import { BY_HAND, MEASURED, SNAPPED } from '../../tolerances';
import { bottom, boxAround, right, type Box } from '../../../mockup/box';
import type { Layout } from '../../layout';
import type { TextNode } from '../../node';
import type { WidthMode } from '../../place';
import { alignLine } from './crossAxis';
import { wrapTexts, measuringError } from './textWrapping';
import { layOutGrid } from './grid';
import { isAvatar, isText, type Content, type Part } from './parts';
import { hasWords } from './nodePredicates';
import {
  roundedDownLength,
  commonGap,
  roundedLength,
  gapsBetween,
  heightModeOf,
  insets,
  padded,
  reachesEnd,
  spaceOut,
  overhangMargin,
} from './spacing';
import { centreTolerance, type LayoutResult, type LayOut } from './sizing';
import { canFitContent, rigidWidthMode, fillsRow, hasNoLook, paddingBox, TOGETHER } from './widths';

/** Lays out parts as a row. */
export function layOutRow(part: Part, content: Content, given: boolean, layOut: LayOut): LayoutResult {
  const drawn = content.parts;
  const inner = paddingBox(part);
  const inside = boxAround(drawn.map(({ box }) => box));
  const [before, after] = [inside.x - inner.x, right(inner) - right(inside)];
  const said = part.node.layoutOverride;
  const drawnGaps = gapsOf(drawn);
  const pitch = haveEvenSteps(drawn, drawnGaps);
  const isSaid =
    said?.contents === 'row' ||
    said?.gap !== undefined ||
    drawn.some(({ node }) => node.layoutOverride?.width);
  // A part that overlaps its predecessor shares no columns with it.
  const isFanned = drawnGaps.some((gap) => gap < -BY_HAND.step);
  const isEven = () =>
    areEquallyWide(drawn, drawnGaps, inner, before, after) || areCells(drawn, drawnGaps, before, after);
  if (!isSaid && !isFanned && (pitch || (given && isEven())))
    return layOutGrid(part, { direction: 'grid', parts: drawn, rows: [drawn], pitch }, given, layOut);
  // Where content continues past the edge, nothing shrinks.
  const isFull = after < -1;
  const widthModes = given
    ? rowWidthModes(drawn, inner, before, after)
    : drawn.map((each) => rigidWidthMode(each));
  const parts = said?.gap === undefined ? withPlainGap(drawn, widthModes) : drawn;
  const gaps = gapsOf(parts);
  const filled = widthModes.includes('rest');
  const justify = given && !filled ? justifyRow(gaps, before, after, inner, centreTolerance(part)) : 'start';
  const free =
    justify === 'start' && given && !filled && !isFull && said?.gap === undefined
      ? freeGap(gaps, before, after)
      : null;
  const common = commonGap(gaps.filter((_, at) => at !== free && justify !== 'between'));
  // The free gap must be able to shrink, too.
  const isNarrow = free !== null && gaps[free]! < common * LARGER_GAP;
  const gap = said?.gap ?? (isNarrow ? Math.min(PLAIN_GAP, ...gaps) : common);
  const { align, line, owns } = alignLine(parts, inside);
  const vertical = insets(part, line);
  const spaces = said?.gap === undefined ? spaceOut(gaps, gap, SNAPPED) : gaps.map(() => 0);
  const last = parts.at(-1);
  const isFilled = !filled && after < MEASURED.width;
  // Extra width would move the last part of a row that has room.
  const isUnsure = free === null && last && (isStretched(last) || (isFilled && hasWords(last.node)));
  const more = isUnsure && given && !isFull && justify === 'start' ? MEASURED.width : 0;
  const children = parts.map((each, at) => {
    const widthMode = isFull && widthModes[at] === 'drawn' ? 'rigid' : widthModes[at]!;
    const own = owns[at]!;
    const left =
      at === 0
        ? Math.min(0, roundedDownLength(before))
        : justify === 'between'
          ? 0
          : at - 1 === free
            ? null
            : spaces[at - 1]!;
    const { over } = vertical;
    const end = each === last ? overhangMargin(after) - more : 0;
    // A part aligned at the top overhangs by itself; any other alignment needs the overhang of all parts.
    const hangs = (own.align ?? align) === 'start';
    const below = hangs
      ? Math.max(over.bottom, Math.min(0, roundedLength(bottom(inner) - bottom(each.box))))
      : over.bottom;
    const margin = { top: own.top + over.top, left, right: end, bottom: below };
    return layOut(each, {
      widthMode,
      heightMode: heightModeOf(
        each,
        own.align === 'stretch' || (own.align === null && align === 'stretch'),
        line.height,
      ),
      align: own.align,
      margin,
      isWidthGiven: widthMode !== 'fit',
    });
  });
  const sides =
    justify === 'middle'
      ? { left: offCentrePadding(before - after), right: offCentrePadding(after - before) }
      : justify === 'end'
        ? { left: 0, right: after }
        : {
            left: before,
            right:
              !given || filled || free !== null || justify === 'between'
                ? after
                : // A row without any room to spare would wrap its words.
                  Math.max(0, Math.min(after - MEASURED.width, before)),
          };
  const layout: Layout = {
    direction: 'row',
    tracks: [],
    gap: justify === 'between' ? 0 : gap,
    rowGap: gap,
    padding: padded(vertical, sides),
    align,
    justify,
  };
  // Words may grow where the row is not full.
  const slack =
    given && !filled
      ? Math.max(0.5, before + after - sides.left - sides.right, ...gaps.filter((_, at) => at === free))
      : 0.5;
  const of = (each: Part) => (isFull ? 0 : each.box.width + slack + (each === last ? more : 0));
  const isUnconstrained = !given || filled;
  const room = {
    of,
    narrowed: 'drawn',
    begins: () => false,
    isGiven: false,
    isRigid: () => false,
    isUnconstrained,
  } as const;
  return { layout, children: wrapTexts(children, parts, room) };
}

/** The padding that moves visibly off-centre content to where it was drawn, px. */
function offCentrePadding(difference: number): number {
  return difference > MEASURED.middle * 1.5 ? difference : 0;
}

function gapsOf(parts: readonly Part[]): readonly number[] {
  return gapsBetween(parts.map(({ box }) => box));
}

/** Common practice, no source: spaces are multiples of 4 px, and 16 px separate words from the next part. */
const SPACE_STEP = 4;
const PLAIN_GAP = 16;

/**
 * Words may end anywhere, so the space after them was not chosen. The part around them is widened until a
 * plain gap is left, equal in rows that differ in words only.
 */
function withPlainGap(parts: readonly Part[], widthModes: readonly WidthMode[]): readonly Part[] {
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

function isStretched(part: Part): boolean {
  return isText(part) && (part.node.place.linear !== null || hasSpacedLetters(part.node));
}

/** True for a sentence with letter-spaced words that keep their drawn width. */
function hasSpacedLetters({ look, lines }: TextNode): boolean {
  const common = look.type?.letterSpacing ?? 0;
  return lines.some(({ spans }) =>
    spans.some((span) => (span.look.type?.letterSpacing ?? common) !== common),
  );
}

/** Common practice, no source: a part of this share of a row is its main part. */
const MAIN_SHARE = 0.3;

/**
 * Common practice, no source: a line of this share of a row is read, and gets more width in a wider window.
 */
const LONG_LINE = 0.6;

/** True for boxes of equal width that share a row. */
function areEquallyWide(
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
function areCells(parts: readonly Part[], gaps: readonly number[], before: number, after: number): boolean {
  if (parts.length <= MOST_BY_CHANCE || [before, after, ...gaps].some((gap) => Math.abs(gap) > BY_HAND.step))
    return false;
  if (!parts.every(({ node, box }) => node.kind === 'box' && box.width >= NARROWEST_CELL && !isAvatar(node)))
    return false;
  const isCommon = ({ box }: Part) =>
    parts.filter((other) => Math.abs(other.box.width - box.width) <= BY_HAND.size).length * 2 > parts.length;
  return parts.some(isCommon);
}

/** True for words that start at even steps, whatever their length: columns, not gaps. */
function haveEvenSteps(parts: readonly Part[], gaps: readonly number[]): boolean {
  const steps = parts.slice(1).map(({ box }, at) => box.x - parts[at]!.box.x);
  const [first] = steps;
  return (
    first !== undefined &&
    steps.length > 1 &&
    steps.every((step) => Math.abs(step - first) <= BY_HAND.step) &&
    gaps.some((gap) => Math.abs(gap - gaps[0]!) > 1)
  );
}

function rowWidthModes(
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
    if (!isMain || each.node.kind === 'picture' || isButton(each)) return;
    if (main === null || each.box.width > parts[main]!.box.width) main = at;
  });
  return firm.map((widthMode, at) => (at === main ? 'rest' : widthMode));
}

/** True for a button beside other parts: it has the width of its words. */
function isButton({ node }: Part): boolean {
  return node.role === 'button';
}

function justifyRow(
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
const LARGER_GAP = 1.5;

/** The index of the gap that takes the free space: the only large one, or the last of several free ones. */
function freeGap(gaps: readonly number[], before: number, after: number): number | null {
  if (after > Math.max(before * 1.5, 40)) return null;
  const largest = Math.max(0, ...gaps);
  const large = gaps.filter((gap) => gap * LARGER_GAP > largest);
  if (large.length > 1) return large.every((gap) => gap > TOGETHER) ? gaps.lastIndexOf(large.at(-1)!) : null;
  return largest >= 16 ? gaps.indexOf(largest) : null;
}
