import { MEASURED, SNAPPED } from '../../tolerances';
import { boxAround, bottom, right, type Box } from '../../../mockup/box';
import type { Align, HeightMode, Margin, WidthMode } from '../../place';
import type { Layout } from '../../layout';
import { shareColumns } from './sharedColumns';
import { standsAtStart, wrapTexts } from './textWrapping';
import { columnPadding, isPadded, spans } from './columnSides';
import { isCutBelow, isAvatar, isText, type Content, type Part } from './parts';
import {
  commonGap,
  roundedDownLength,
  heightModeOf,
  insets,
  padded,
  spaceOutColumn,
  overhangMargin,
} from './spacing';
import { centreTolerance, type LayoutResult, type LayOut } from './sizing';
import { canFitContent, rigidWidthMode, isIntrinsic, fillsRow, hasNoLook, paddingBox } from './widths';

/** Lays out parts as a column. */
export function layOutColumn(part: Part, content: Content, given: boolean, layOut: LayOut): LayoutResult {
  const parts = given ? shareColumns(content.parts) : content.parts;
  const inner = paddingBox(part);
  const inside = boxAround(parts.map(({ box }) => box));
  const vertical = insets(part, inside);
  const free = columnPadding(part, parts, inner, inside, vertical, given);
  const sides = { left: Math.max(0, free.left), right: Math.max(0, free.right) };
  const room: Box = { ...inside, x: inner.x + sides.left, width: inner.width - sides.left - sides.right };
  const widened = parts.map((each) => widenToRoom(trimToRoom(each, room), room, given));
  const tendencies = widened.map((each) => tendency(each, room, centreTolerance(part)));
  const align = commonest(tendencies);
  const gaps = parts.slice(1).map(({ box }, at) => box.y - bottom(parts[at]!.box));
  const said = part.node.layoutOverride?.gap;
  const gap = said ?? commonGap(gaps);
  const defines =
    widened.some((each) => spans(each.box, room) && isIntrinsic(each) && each.content !== null) ||
    widened.some((each) => isText(each) && spans(each.box, room));
  const { spaces, beneath } =
    said === undefined
      ? spaceOutColumn(gaps, gap, vertical.bottom)
      : { spaces: gaps.map(() => 0), beneath: vertical.bottom };
  const isCut = isCutBelow(part, inside);
  const children = widened.map((each, at) => {
    const top = at === 0 ? vertical.over.top : spaces[at - 1]!;
    const below = at === widened.length - 1 ? vertical.over.bottom : 0;
    const own = tendencies[at]!;
    const wanted: Align | null =
      own === 'any' ? null : own === 'off' ? 'start' : own === 'text' ? 'start' : own;
    const fits =
      own === 'any' ||
      wanted === align ||
      (own === 'text' && align === 'stretch') ||
      (own === 'off' && isText(each) && align === 'stretch');
    const stretched = (fits ? align : wanted) === 'stretch' && own === 'stretch';
    const widthMode = columnWide(each, stretched, wanted === 'middle', given, defines, room);
    const [before, after] = [each.box.x - room.x, right(room) - right(each.box)];
    const isBroad = each.box.width >= READ_SHARE * room.width;
    const isMoved = each.node.kind === 'box' || Math.abs(before - after) > MEASURED.middle * 1.5;
    const aside = wanted === 'middle' && isMoved ? offCentre(before - after, isBroad) : 0;
    // Half-line overhangs and the whole px of pictures do not widen the container.
    const sticks = widthMode === 'drawn' || widthMode === 'rigid';
    const margin: Margin = {
      top,
      left:
        Math.max(0, aside) +
        (own === 'off' ? roundedDownLength(before) : sticks ? overhangMargin(before) : 0),
      right: Math.max(0, -aside) + (sticks ? overhangMargin(after) : 0),
      bottom: below,
    };
    return layOut(each, {
      widthMode,
      heightMode: isCut ? rigidHeight(each) : heightModeOf(each, false, 0),
      align: fits ? null : wanted,
      margin,
      isWidthGiven: stretched ? given || !canFitContent(each) : widthMode !== 'fit',
    });
  });
  const layout: Layout = {
    direction: 'column',
    tracks: [],
    gap,
    rowGap: gap,
    padding: padded({ ...vertical, bottom: beneath }, sides),
    align,
    justify: 'start',
  };
  return {
    layout,
    children: wrapTexts(children, widened, {
      of: ({ box }) => (given ? room.width : box.width),
      narrowed: 'max',
      begins: (place) => standsAtStart(place, align),
      isGiven: given,
      isRigid: () => true,
      isUnconstrained: !given,
    }),
  };
}

/** The children of a clipped list would shrink when the list has a height or is clipped itself. */
function rigidHeight(part: Part): HeightMode {
  const own = heightModeOf(part, false, 0);
  return own === 'drawn' || part.node.look.clip ? 'min' : own;
}

/**
 * The difference by which a box is off centre, px; 0 where it is invisible.
 * @param isBroad true for a box that takes most of the room: all its content would land between px
 */
function offCentre(difference: number, isBroad: boolean): number {
  return Math.abs(difference) > 2 * SNAPPED || isBroad ? roundedDownLength(difference) : 0;
}

/**
 * An anonymous part ends at the room's edge, not where a line inside overhangs by half its width. A part that
 * takes all of the room within half a px takes exactly the room, so that its content stands where it was
 * drawn.
 */
function trimToRoom(part: Part, room: Box): Part {
  if (!part.content || !(hasNoLook(part) || spans(part.box, room))) return part;
  const at = (edge: number, wanted: number) => (Math.abs(edge - wanted) <= SNAPPED ? wanted : edge);
  const x = at(part.box.x, room.x);
  return { ...part, box: { ...part.box, x, width: at(right(part.box), right(room)) - x } };
}

/**
 * A part without a look takes the whole room when it is anonymous, holds paragraphs, or holds parts that fill
 * it except for padding.
 */
function widenToRoom(part: Part, room: Box, given: boolean): Part {
  const { node, box } = part;
  if (!given || node.kind !== 'box' || !hasNoLook(part) || !part.content) return part;
  const [before, after] = [box.x - room.x, right(room) - right(box)];
  if (before < -SNAPPED || after < -SNAPPED) return part;
  const isWhole = node.anonymous || isPadded(part.content.parts, box, room);
  if (!isWhole && (before > SNAPPED || (isIntrinsic(part) && !isOfLines(part, room)))) return part;
  const x = isWhole ? room.x : box.x;
  return { ...part, box: { ...box, x, width: right(room) - x } };
}

/**
 * Common practice, no source: words that take this share of their room are read, and get longer in other
 * languages.
 */
const READ_SHARE = 0.5;

/** True for a column of lines that takes most of the room. */
function isOfLines({ box, content }: Part, room: Box): boolean {
  return (
    content?.direction === 'column' && content.parts.every(isOfWords) && box.width >= READ_SHARE * room.width
  );
}

/** True for a text, and for a box that holds only one text. */
function isOfWords(part: Part): boolean {
  const [only, ...more] = part.content?.parts ?? [];
  return isText(part) || (only !== undefined && more.length === 0 && isOfWords(only));
}

type Tendency = Exclude<Align, 'baseline'> | 'text' | 'any' | 'off';

/**
 * The alignment of a part across its column: `text` starts at the edge, `any` agrees with every alignment,
 * `off` has none.
 */
function tendency(part: Part, room: Box, middle: number): Tendency {
  if (part.node.layoutOverride?.width === 'rest') return 'stretch';
  const [before, after] = [part.box.x - room.x, right(room) - right(part.box)];
  if (spans(part.box, room)) return isText(part) ? 'any' : 'stretch';
  // Right-to-left letters start at the other edge.
  const begins = isText(part) && !part.node.look.type?.rightToLeft;
  if (Math.abs(before) <= SNAPPED) return begins ? 'text' : 'start';
  if (Math.abs(before - after) <= middle) {
    // A part that nearly fills the room is centred by chance, unless it is a line that may come out wider.
    const isByChance = before + after <= MEASURED.middle * 1.5 && Math.abs(before - after) > SNAPPED;
    const isLoose = isText(part) && part.node.lines.length === 1 && Math.min(before, after) > 0;
    const isCentred = isLoose || (isText(part) && part.node.look.type?.align === 'middle');
    return isByChance && !isCentred ? 'off' : 'middle';
  }
  if (Math.abs(after) <= SNAPPED) return 'end';
  return 'off';
}

/** The alignment that most parts have; `any` follows. */
function commonest(tendencies: readonly Tendency[]): Align {
  const votes = { stretch: 0, start: 0, middle: 0, end: 0 };
  for (const each of tendencies) {
    if (each === 'text') {
      votes.stretch += 1;
      votes.start += 1;
    } else if (each !== 'any' && each !== 'off') votes[each] += 1;
  }
  const [best] = (['stretch', 'start', 'middle', 'end'] as const).toSorted(
    (one, other) => votes[other] - votes[one],
  );
  return best ?? 'stretch';
}

/**
 * Common practice, no source: a part of this share of a page's width is the page's body, centred in wider
 * windows.
 */
const BODY_SHARE = 0.4;
const BODY_WIDTH = 480;

function columnWide(
  part: Part,
  stretched: boolean,
  centred: boolean,
  given: boolean,
  defines: boolean,
  room: Box,
): WidthMode {
  const { node, content } = part;
  if (node.kind === 'picture')
    return stretched && given && part.box.width >= 120 && Math.abs(part.box.width - room.width) <= SNAPPED
      ? 'full'
      : 'rigid';
  if (isAvatar(node)) return 'rigid';
  // A part wider than the room would shrink to it.
  if (content && part.box.width > room.width + SNAPPED) return 'drawn';
  if (stretched)
    return given || defines || canFitContent(part) || node.layoutOverride?.width === 'rest' ? 'fit' : 'drawn';
  if (!content) return rigidWidthMode(part);
  const isBody = part.box.width >= Math.max(BODY_WIDTH, BODY_SHARE * room.width);
  if (centred && given && (isBody || (!canFitContent(part) && !fillsRow(part)))) return 'max';
  return rigidWidthMode(part);
}
