import { bottom, boxAround, right, type Box } from '../../../mockup/box';
import type { Layout, TextNode, Wide } from '../../node';
import { alignLine } from './across';
import { textsIn, unsureWidth } from './breaks';
import { layOutGrid } from './grid';
import { isAvatar, isText, type Content, type Part } from './parts';
import { hasWords } from './things';
import {
  extraAcross,
  ACROSS_SLACK,
  commonGap,
  extra,
  gapsBetween,
  high,
  insets,
  padded,
  reachesEnd,
  spaceOut,
  stickingOut,
} from './spacing';
import { EDGE, MIDDLE, middleOf, type Laid, type LayOut } from './stand';
import { canHug, firmWide, isTight, isUnseen, paddingBox, TOGETHER } from './widths';

/** Lays parts out beside each other. */
export function layOutRow(part: Part, content: Content, given: boolean, layOut: LayOut): Laid {
  const drawn = content.parts;
  const inner = paddingBox(part);
  const inside = boxAround(drawn.map(({ box }) => box));
  const [before, after] = [inside.x - inner.x, right(inner) - right(inside)];
  const said = part.node.wish;
  const drawnGaps = gapsOf(drawn);
  const pitch = arePitched(drawn, drawnGaps);
  const isSaid =
    said?.contents === 'row' || said?.gap !== undefined || drawn.some(({ node }) => node.wish?.wide);
  // What covers a part of what is before it shares no columns with it.
  const isFanned = drawnGaps.some((gap) => gap < -SAME_STEP);
  const isEven = () =>
    areEven(drawn, drawnGaps, inner, before, after) || areCells(drawn, drawnGaps, before, after);
  if (!isSaid && !isFanned && (pitch || (given && isEven())))
    return layOutGrid(part, { direction: 'grid', parts: drawn, rows: [drawn], pitch }, given, layOut);
  // Where things go on past the edge, nothing gives way to them.
  const isFull = after < -1;
  const wides = given ? rowWides(drawn, inner, before, after) : drawn.map((each) => firmWide(each));
  const parts = said?.gap === undefined ? withPlainGap(drawn, wides) : drawn;
  const gaps = gapsOf(parts);
  const filled = wides.includes('fill');
  const justify = given && !filled ? justifyRow(gaps, before, after, inner, middleOf(part)) : 'start';
  const free =
    justify === 'start' && given && !filled && !isFull && said?.gap === undefined
      ? freeGap(gaps, before, after)
      : null;
  const common = commonGap(gaps.filter((_, at) => at !== free && justify !== 'between'));
  // Of several that are free space, the one that takes what is free has to be able to get smaller, too.
  const isNarrow = free !== null && gaps[free]! < common * LARGER;
  const gap = said?.gap ?? (isNarrow ? Math.min(PLAIN_GAP, ...gaps) : common);
  const { align, line, owns } = alignLine(parts, inside);
  const vertical = insets(part, line);
  const spaces = said?.gap === undefined ? spaceOut(gaps, gap, ACROSS_SLACK) : gaps.map(() => 0);
  const last = parts.at(-1);
  const isFilled = !filled && after < ROUNDING;
  // Where there is room in the row, it would move what stands at the end.
  const isUnsure = free === null && last && (isStretched(last) || (isFilled && hasWords(last.node)));
  const more = isUnsure && given && !isFull && justify === 'start' ? ROUNDING : 0;
  const children = parts.map((each, at) => {
    const wide = isFull && wides[at] === 'set' ? 'firm' : wides[at]!;
    const own = owns[at]!;
    const left =
      at === 0
        ? Math.min(0, extraAcross(before))
        : justify === 'between'
          ? 0
          : at - 1 === free
            ? null
            : spaces[at - 1]!;
    const { over } = vertical;
    const end = each === last ? stickingOut(after) - more : 0;
    // What hangs from the top sticks out below for itself; in any other line all must, to stand in it.
    const hangs = (own.align ?? align) === 'start';
    const below = hangs
      ? Math.max(over.bottom, Math.min(0, extra(bottom(inner) - bottom(each.box))))
      : over.bottom;
    const margin = { top: own.top + over.top, left, right: end, bottom: below };
    return layOut(each, {
      wide,
      high: high(each, own.align === 'stretch' || (own.align === null && align === 'stretch'), line.height),
      align: own.align,
      margin,
      given: wide !== 'hug',
    });
  });
  const sides =
    justify === 'middle'
      ? { left: aside(before - after), right: aside(after - before) }
      : justify === 'end'
        ? { left: 0, right: after }
        : {
            left: before,
            right:
              !given || filled || free !== null || justify === 'between'
                ? after
                : // A row without any room to spare would break its words.
                  Math.max(0, Math.min(after - ROUNDING, before)),
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
  // Words may get longer where the row is not filled.
  const slack =
    given && !filled
      ? Math.max(0.5, before + after - sides.left - sides.right, ...gaps.filter((_, at) => at === free))
      : 0.5;
  const of = (each: Part) => (isFull ? 0 : each.box.width + slack + (each === last ? more : 0));
  const loose = !given || filled;
  const room = { of, narrowed: 'set', begins: () => false, given: false, firm: () => false, loose } as const;
  return { layout, children: textsIn(children, parts, room) };
}

/** The padding that brings what is seen to be off the middle to where it was drawn, px. */
function aside(difference: number): number {
  return difference > MIDDLE * 1.5 ? difference : 0;
}

function gapsOf(parts: readonly Part[]): readonly number[] {
  return gapsBetween(parts.map(({ box }) => box));
}

/** Common practice, no source: spaces are multiples of 4 px, and 16 px keep words and what follows them apart. */
const SPACE_STEP = 4;
const PLAIN_GAP = 16;

/**
 * Words end anywhere: where they take what a row leaves, the space behind them is none that anyone chose. The part around
 * them gets so wide that there is a plain gap, the same in rows that differ in their words only.
 */
function withPlainGap(parts: readonly Part[], wides: readonly Wide[]): readonly Part[] {
  const at = wides.indexOf('fill');
  const [part, next] = [parts[at], parts[at + 1]];
  if (!part || !next) return parts;
  const gaps = gapsOf(parts);
  const room = gaps[at]!;
  const others = gaps.toSpliced(at, 1);
  const even = others.length > 0 ? commonGap(others) : Math.min(PLAIN_GAP, room - (room % SPACE_STEP));
  const plain = isRagged(part) ? even : isStretched(part) ? Math.max(0, room - unsureWidth(part)) : room;
  if (plain >= room) return parts;
  return parts.with(at, { ...part, box: { ...part.box, width: part.box.width + room - plain } });
}

/** True for a box that shows nothing by itself around things that stand at its start. */
function isRagged(part: Part): boolean {
  const { content, box, below, above } = part;
  if (!content || !isUnseen(part) || below.length + above.length > 0) return false;
  return content.direction === 'column' && content.parts.every((each) => beginsWith(each, box));
}

function beginsWith(part: Part, { x, width }: Box): boolean {
  if (Math.abs(part.box.x - x) > EDGE) return false;
  if (isText(part)) return part.node.look.type?.align === 'start';
  return part.box.width < width - EDGE || isRagged(part);
}

/** Px by which the browser may find letters wider than their room, so that the last word would be in a line of its own. */
const ROUNDING = 1;

function isStretched(part: Part): boolean {
  return isText(part) && (part.node.place.turn !== null || hasSpacedLetters(part.node));
}

/** True for a sentence in which some words have spaced letters, to be as wide as they were drawn. */
function hasSpacedLetters({ look, lines }: TextNode): boolean {
  const common = look.type?.letterSpacing ?? 0;
  return lines.some(({ spans }) =>
    spans.some((span) => (span.look.type?.letterSpacing ?? common) !== common),
  );
}

/** Common practice, no source: what takes up so much of a row is its main thing. */
const MAIN_SHARE = 0.3;

/** Common practice, no source: a line that takes up so much of a row is read, and gets more room in a wider window. */
const LONG_LINE = 0.6;

/** Px by which boxes that share a row out may differ: some have borders, half of which reach past them. */
const SAME_WIDTH = 1.5;

/** True for boxes of one width that share a row out between them. */
function areEven(
  parts: readonly Part[],
  gaps: readonly number[],
  inner: Box,
  before: number,
  after: number,
): boolean {
  const first = parts[0]!.box.width;
  const alike =
    parts.every(({ box, node }) => node.kind === 'box' && Math.abs(box.width - first) <= SAME_WIDTH) &&
    gaps.every((gap) => Math.abs(gap - gaps[0]!) <= SAME_WIDTH);
  const filling = parts.reduce((sum, { box }) => sum + box.width, 0) >= inner.width * 0.5;
  return parts.length > 1 && alike && filling && reachesEnd(before, after);
}

/** How many boxes side by side are no cells yet. */
const MOST_BY_CHANCE = 2;
/** Px: narrower boxes are lines. */
const NARROWEST = 8;

/** True for boxes side by side that fill their row, most of them as wide as one another whatever they hold: cells of a table. */
function areCells(parts: readonly Part[], gaps: readonly number[], before: number, after: number): boolean {
  if (parts.length <= MOST_BY_CHANCE || [before, after, ...gaps].some((gap) => Math.abs(gap) > SAME_STEP))
    return false;
  if (!parts.every(({ node, box }) => node.kind === 'box' && box.width >= NARROWEST && !isAvatar(node)))
    return false;
  const isCommon = ({ box }: Part) =>
    parts.filter((other) => Math.abs(other.box.width - box.width) <= SAME_WIDTH).length * 2 > parts.length;
  return parts.some(isCommon);
}

/** Px by which the steps from part to part may differ. */
const SAME_STEP = 0.75;

/** True for words that begin at even steps, whatever their length: columns, not gaps. */
function arePitched(parts: readonly Part[], gaps: readonly number[]): boolean {
  const steps = parts.slice(1).map(({ box }, at) => box.x - parts[at]!.box.x);
  const [first] = steps;
  return (
    first !== undefined &&
    steps.length > 1 &&
    steps.every((step) => Math.abs(step - first) <= SAME_STEP) &&
    gaps.some((gap) => Math.abs(gap - gaps[0]!) > 1)
  );
}

function rowWides(parts: readonly Part[], inner: Box, before: number, after: number): readonly Wide[] {
  const firm = parts.map((each) => firmWide(each));
  if (firm.includes('fill') || !reachesEnd(before, after)) return firm;
  let main: number | null = null;
  // What stands at both ends of a row shares what is between with nobody.
  const gaps = gapsOf(parts);
  const largestGap = Math.max(0, ...gaps);
  parts.forEach((each, at) => {
    const isRoomy =
      each.box.width >= MAIN_SHARE * inner.width && (!canHug(each) || each.box.width >= 0.5 * inner.width);
    const isPlainText =
      isText(each) && each.node.lines.length < 2 && each.box.width < LONG_LINE * inner.width;
    // A row of words gets longer into the free space behind it.
    const isLoose = isUnseen(each) && isTight(each) && (gaps[at] ?? 0) > TOGETHER;
    const isMain = isRoomy && !isPlainText && !isLoose && each.box.width > largestGap;
    if (!isMain || each.node.kind === 'picture' || isPressed(each)) return;
    if (main === null || each.box.width > parts[main]!.box.width) main = at;
  });
  return firm.map((wide, at) => (at === main ? 'fill' : wide));
}

/** True for a button beside other things, which is as wide as its words. */
function isPressed({ node }: Part): boolean {
  return node.role === 'button';
}

/** Px by which the spaces between parts at both ends and in the middle may differ: words are measured to parts of a px. */
const SAME_SPACE = 1;

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
  const isEven = gaps.every((gap) => gap > TOGETHER && Math.abs(gap - gaps[0]!) <= SAME_SPACE);
  if (gaps.length > 0 && isEven && after <= Math.max(before * 1.5, 40)) return 'between';
  const isAtEnd = after >= -1 && after * 2 < before && before > TOGETHER;
  if (isAtEnd && gaps.every((gap) => gap < before)) return 'end';
  return 'start';
}

/** How many times as large as the others a gap is that takes what is free. */
const LARGER = 1.5;

/** The gap that takes what is free when the row is wider: the only large one, or the last of several that are free space. */
function freeGap(gaps: readonly number[], before: number, after: number): number | null {
  if (after > Math.max(before * 1.5, 40)) return null;
  const largest = Math.max(0, ...gaps);
  const large = gaps.filter((gap) => gap * LARGER > largest);
  if (large.length > 1) return large.every((gap) => gap > TOGETHER) ? gaps.lastIndexOf(large.at(-1)!) : null;
  return largest >= 16 ? gaps.indexOf(largest) : null;
}
