import { boxAround, bottom, right, type Box } from '../../../mockup/box';
import type { Align, High, Layout, Margin, Wide } from '../../node';
import { shareColumns } from './alike';
import { standsAtStart, textsIn } from './breaks';
import { columnSides, isPadded, spans } from './columnSides';
import { isCutBelow, isAvatar, isText, type Content, type Part } from './parts';
import { commonGap, DOWN_SLACK, extraAcross, high, insets, padded, spaceOut, stickingOut } from './spacing';
import { EDGE, MIDDLE, middleOf, type Laid, type LayOut } from './stand';
import { canHug, firmWide, isIntrinsic, isTight, isUnseen, paddingBox } from './widths';

/** Lays parts out under each other. */
export function layOutColumn(part: Part, content: Content, given: boolean, layOut: LayOut): Laid {
  const parts = given ? shareColumns(content.parts) : content.parts;
  const inner = paddingBox(part);
  const inside = boxAround(parts.map(({ box }) => box));
  const vertical = insets(part, inside);
  const free = columnSides(part, parts, inner, inside, vertical, given);
  const sides = { left: Math.max(0, free.left), right: Math.max(0, free.right) };
  const room: Box = { ...inside, x: inner.x + sides.left, width: inner.width - sides.left - sides.right };
  const widened = parts.map((each) => widen(trim(each, room), room, given));
  const tendencies = widened.map((each) => tendency(each, room, middleOf(part)));
  const align = commonest(tendencies);
  const gaps = parts.slice(1).map(({ box }, at) => box.y - bottom(parts[at]!.box));
  const said = part.node.wish?.gap;
  const gap = said ?? commonGap(gaps);
  const defines =
    widened.some((each) => spans(each.box, room) && isIntrinsic(each) && each.content !== null) ||
    widened.some((each) => isText(each) && spans(each.box, room));
  const spaces = said === undefined ? spaceOut(gaps, gap, DOWN_SLACK) : gaps.map(() => 0);
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
    const wide = columnWide(each, stretched, wanted === 'middle', given, defines, room);
    const [before, after] = [each.box.x - room.x, right(room) - right(each.box)];
    const isBroad = each.box.width >= READ * room.width;
    const isMoved = each.node.kind === 'box' || Math.abs(before - after) > MIDDLE * 1.5;
    const aside = wanted === 'middle' && isMoved ? beside(before - after, isBroad) : 0;
    // Lines stick out by half, and pictures take whole px: neither makes what is around them wider.
    const sticks = wide === 'set' || wide === 'firm';
    const margin: Margin = {
      top,
      left: Math.max(0, aside) + (own === 'off' ? extraAcross(before) : sticks ? stickingOut(before) : 0),
      right: Math.max(0, -aside) + (sticks ? stickingOut(after) : 0),
      bottom: below,
    };
    return layOut(each, {
      wide,
      high: isCut ? unsqueezed(each) : high(each, false, 0),
      align: fits ? null : wanted,
      margin,
      given: stretched ? given || !canHug(each) : wide !== 'hug',
    });
  });
  const layout: Layout = {
    direction: 'column',
    tracks: [],
    gap,
    rowGap: gap,
    padding: padded(vertical, sides),
    align,
    justify: 'start',
  };
  return {
    layout,
    children: textsIn(children, widened, {
      of: ({ box }) => (given ? room.width : box.width),
      narrowed: 'capped',
      begins: (place) => standsAtStart(place, align),
      given,
      firm: () => true,
      loose: !given,
    }),
  };
}

/** What is in a list that is cut off would give way to it, where it has a height or is itself cut off. */
function unsqueezed(part: Part): High {
  const own = high(part, false, 0);
  return own === 'set' || part.node.look.clip ? 'least' : own;
}

/**
 * By how much more room at one side a box is not quite in the middle, px; 0 where nobody sees it.
 * @param isBroad true for a box of most of the room: all that is in it would be drawn between px
 */
function beside(difference: number, isBroad: boolean): number {
  return Math.abs(difference) > 2 * EDGE || isBroad ? extraAcross(difference) : 0;
}

/**
 * What shows nothing by itself ends where the room does, not where a line that it holds sticks out by half its width; and
 * what takes the whole room, but for half a px, is as wide as that: what is inside of it stands where it was drawn.
 */
function trim(part: Part, room: Box): Part {
  if (!part.content || !(isUnseen(part) || spans(part.box, room))) return part;
  const at = (edge: number, wanted: number) => (Math.abs(edge - wanted) <= EDGE ? wanted : edge);
  const x = at(part.box.x, room.x);
  return { ...part, box: { ...part.box, x, width: at(right(part.box), right(room)) - x } };
}

/**
 * What was made, or holds paragraphs or what fills it but for padding, and shows nothing by itself, takes the whole room: it
 * has something to share out.
 */
function widen(part: Part, room: Box, given: boolean): Part {
  const { node, box } = part;
  if (!given || node.kind !== 'box' || !isUnseen(part) || !part.content) return part;
  const [before, after] = [box.x - room.x, right(room) - right(box)];
  if (before < -EDGE || after < -EDGE) return part;
  const isWhole = node.made || isPadded(part.content.parts, box, room);
  if (!isWhole && (before > EDGE || (isIntrinsic(part) && !isOfLines(part, room)))) return part;
  const x = isWhole ? room.x : box.x;
  return { ...part, box: { ...box, x, width: right(room) - x } };
}

/** Common practice, no source: words that take up so much of their room are read, and get longer in other languages. */
const READ = 0.5;

/** True for a box of lines under each other that take up most of the room. */
function isOfLines({ box, content }: Part, room: Box): boolean {
  return content?.direction === 'column' && content.parts.every(isOfWords) && box.width >= READ * room.width;
}

/** True for a text, and for what holds nothing but one. */
function isOfWords(part: Part): boolean {
  const [only, ...more] = part.content?.parts ?? [];
  return isText(part) || (only !== undefined && more.length === 0 && isOfWords(only));
}

type Tendency = Exclude<Align, 'baseline'> | 'text' | 'any' | 'off';

/** How a part stands across its column: `text` begins at the edge, `any` leaves the choice, `off` is out of line. */
function tendency(part: Part, room: Box, middle: number): Tendency {
  if (part.node.wish?.wide === 'fill') return 'stretch';
  const [before, after] = [part.box.x - room.x, right(room) - right(part.box)];
  if (spans(part.box, room)) return isText(part) ? 'any' : 'stretch';
  // Letters from right to left begin at the other edge.
  const begins = isText(part) && !part.node.look.type?.rightToLeft;
  if (Math.abs(before) <= EDGE) return begins ? 'text' : 'start';
  if (Math.abs(before - after) <= middle) {
    // What all but takes the room is in its middle by chance, unless it is a line that may come out wider.
    const isByChance = before + after <= MIDDLE * 1.5 && Math.abs(before - after) > EDGE;
    const isLoose = isText(part) && part.node.lines.length === 1 && Math.min(before, after) > 0;
    const isCentred = isLoose || (isText(part) && part.node.look.type?.align === 'middle');
    return isByChance && !isCentred ? 'off' : 'middle';
  }
  if (Math.abs(after) <= EDGE) return 'end';
  return 'off';
}

/** The alignment that most parts have; what leaves a choice follows. */
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

/** Common practice, no source: what takes up so much of a page's width is its body, centred in wider windows. */
const BODY_SHARE = 0.4;
const BODY_WIDTH = 480;

function columnWide(
  part: Part,
  stretched: boolean,
  centred: boolean,
  given: boolean,
  defines: boolean,
  room: Box,
): Wide {
  const { node, content } = part;
  if (node.kind === 'picture')
    return stretched && given && part.box.width >= 120 && Math.abs(part.box.width - room.width) <= EDGE
      ? 'whole'
      : 'firm';
  if (isAvatar(node)) return 'firm';
  // What is wider than the room would be squeezed into it.
  if (content && part.box.width > room.width + EDGE) return 'set';
  if (stretched) return given || defines || canHug(part) || node.wish?.wide === 'fill' ? 'hug' : 'set';
  if (!content) return firmWide(part);
  const isBody = part.box.width >= Math.max(BODY_WIDTH, BODY_SHARE * room.width);
  if (centred && given && (isBody || (!canHug(part) && !isTight(part)))) return 'capped';
  return firmWide(part);
}
