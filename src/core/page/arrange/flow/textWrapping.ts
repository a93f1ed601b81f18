import { MEASURED } from '../../tolerances';
import { memoizeLast } from '../../../mockup/memoize';
import { breaksWord, lineText, type PageNode, type TextNode } from '../../node';
import type { Align, FlowPlace, WidthMode } from '../../place';
import type { Part } from './parts';

/** The width that the container gives to its texts. */
interface AvailableWidth {
  /** Px available to a text. */
  readonly of: (part: Part) => number;
  /** The width mode of a text that wraps as drawn in less than the available width. */
  readonly narrowed: WidthMode;
  /** True for a text that starts at the start of the available width. */
  readonly begins: (place: FlowPlace) => boolean;
  /** True where the width does not come from the texts themselves. */
  readonly isGiven: boolean;
  /** True where the width does not depend on the content: long words widen a column of a grid. */
  readonly isRigid: (part: Part) => boolean;
  /** True where a text with content width takes one line unless a width is set. */
  readonly isUnconstrained: boolean;
}

/** How texts wrap: freely where that gives the drawn lines, never where the width is already too small. */
export function wrapTexts(
  children: readonly PageNode[],
  parts: readonly Part[],
  room: AvailableWidth,
): readonly PageNode[] {
  const { narrowed, isGiven, isUnconstrained } = room;
  return children.map((child, at): PageNode => {
    if (child.kind !== 'text' || child.place.kind !== 'flow') return child;
    const [available, firm] = [room.of(parts[at]!), room.isRigid(parts[at]!)];
    const { place } = child;
    return lastBroken(child, [available, narrowed, room.begins(place), isGiven, firm, isUnconstrained], () =>
      wrapText(child, place, { ...room, available, firm }),
    );
  });
}

const lastBroken = memoizeLast<TextNode, PageNode>();

/** The width that the container gives to one text. */
interface TextWidth extends Omit<AvailableWidth, 'of' | 'firm'> {
  readonly available: number;
  readonly firm: boolean;
}

function wrapText(node: TextNode, place: FlowPlace, room: TextWidth): PageNode {
  if (node.lines.length === 1) return wrapLine(node, place, room);
  const { available, narrowed, begins, isGiven, isUnconstrained } = room;
  const width = freeWidth(node, available);
  if (width === null) {
    const seen = place.width * (place.linear?.[0] ?? 1);
    const isTight = isGiven && seen + measuringErrorOf(seen) > available;
    const own = isTight && begins(place) ? withRightMargin(place, measuringErrorOf(seen)) : place;
    return { ...node, wraps: 'as-drawn', place: own };
  }
  const isWhole = width >= available - 0.01 && !(isUnconstrained && place.widthMode === 'fit');
  // In a row, width that the words do not need would push the next part.
  const own = narrowed === 'drawn' ? Math.min(width, place.width + MEASURED.plainWidth) : width;
  // Words take the room that they need by themselves.
  const widthMode = narrowed === 'max' ? 'capped' : narrowed;
  return { ...node, wraps: 'freely', place: isWhole ? place : { ...place, width: own, widthMode } };
}

/** How a text of one line wraps. */
function wrapLine(
  node: TextNode,
  place: FlowPlace,
  { available, narrowed, begins, isGiven, firm, isUnconstrained }: TextWidth,
): PageNode {
  const seen = place.width * (place.linear?.[0] ?? 1);
  // The part that takes the rest of a row may get slightly less than it needs.
  if (place.widthMode === 'rest' && seen <= available + 1)
    return { ...node, wraps: 'freely', place: withRightMargin(place, measuringErrorOf(seen)) };
  if (!place.linear) return { ...node, wraps: seen > available + 1 ? 'never' : 'freely' };
  const { left, right: beyond } = place.margin;
  // A free end does not compensate for the width of stretched letters before the transform.
  const taken = beyond === null ? Math.max(seen, place.width) : seen;
  const free = available - taken - (left ?? 0);
  const isFull = free < 1;
  // A text with content width wraps only where the text itself is squeezed.
  if (isUnconstrained && free >= -1) return { ...node, wraps: 'freely' };
  // Stretched letters wrap where their stretched width exceeds the available width.
  if (narrowed === 'drawn') return { ...node, wraps: isFull ? 'never' : 'freely' };
  const isAtStart = left === 0 && begins(place);
  // A grid column has its drawn width as long as there is room.
  if (!firm && isAtStart && free >= -1)
    return { ...node, wraps: 'freely', place: withRightMargin(place, measuringErrorOf(seen)) };
  // A full line wraps where it can; a line that is cut off stays one line.
  const breaks = !isFull || (isGiven && free >= -1 && /\S\s+\S/.test(lineText(node.lines[0]!)));
  if (!firm || left === null || left < 0 || !begins(place) || !breaks)
    return { ...node, wraps: free > 1 + measuringErrorOf(seen) ? 'freely' : 'never' };
  const right = isFull ? -measuringErrorOf(seen) : 0;
  return {
    ...node,
    wraps: 'freely',
    place: { ...place, widthMode: 'full', margin: { ...place.margin, right } },
  };
}

/** The place with that much more margin at its end, px. */
function withRightMargin(place: FlowPlace, more: number): FlowPlace {
  return { ...place, margin: { ...place.margin, right: (place.margin.right ?? 0) - more } };
}

/** The widths of the lines of a text that wraps, px; none for anything else. */
export function lineWidths(node: PageNode): readonly number[] {
  return node.kind === 'text' && !node.place.linear ? node.lines.map(({ width }) => width) : [];
}

/** True for a part at the start across a container in which most parts stand at the start. */
export function standsAtStart({ align }: FlowPlace, common: Align): boolean {
  return ['start', 'stretch'].includes(align ?? common);
}

/** Px by which the lines of a part may come out wider than drawn. */
export function measuringError({ box }: Part): number {
  return measuringErrorOf(box.width);
}

function measuringErrorOf(width: number): number {
  return MEASURED.plainWidth + width * MEASURED.share;
}

/** The width of a line's first word is estimated from its letters; this share of the estimate is trusted. */
const TRUSTED_SHARE = 0.75;
/**
 * Px by which a browser's letters may be wider or narrower, and the extra width of a paragraph beyond its
 * longest line.
 */
const PARAGRAPH_ROOM = 6;
/** The same as a share of long lines: fonts of readers differ by about as much (common practice, no source). */
const ROOM_SHARE = 0.03;
/** Scripts without spaces between words (CSS Text 3, §5.2). */
const WITHOUT_SPACES = /[\u2E80-\u9FFF\uAC00-\uD7AF\uF900-\uFAFF\u3040-\u30FF]/u;

/**
 * The width, at most `available` px, in which the browser breaks a paragraph as drawn; null when the breaks
 * have to be written.
 */
function freeWidth({ lines, place }: TextNode, available: number): number | null {
  if (lines.length < 2 || place.linear || lines.some((line) => line.at !== null)) return null;
  const texts = lines.map(lineText);
  if (texts.some((text) => WITHOUT_SPACES.test(text) || text.trim() === '' || /^\s|\s$/.test(text)))
    return null;
  if (texts.some((text, at) => text.endsWith('-') && !breaksWord(lines[at]!, lines[at + 1]))) return null;
  const longest = Math.max(...lines.map((line) => line.width));
  const breaks = lines.slice(1).map((line, at) => {
    const text = texts[at + 1] ?? '';
    const [word = ''] = text.split(' ');
    const guess = (line.width * (word.length + 1)) / Math.max(1, text.length);
    return (lines[at]?.width ?? 0) + guess * TRUSTED_SHARE;
  });
  const most = Math.min(...breaks) - MEASURED.plainWidth;
  if (available >= longest + MEASURED.plainWidth && available <= most) return available;
  const room = Math.max(PARAGRAPH_ROOM, ROOM_SHARE * longest);
  const width = Math.round(longest + Math.min(room, (most - longest) / 2));
  return most - longest >= 2 * MEASURED.plainWidth && width <= available ? width : null;
}
