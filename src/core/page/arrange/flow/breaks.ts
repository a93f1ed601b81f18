import { lastMade } from '../../../mockup/remember';
import {
  breaksWord,
  lineText,
  type Align,
  type FlowPlace,
  type PageNode,
  type TextNode,
  type Wide,
} from '../../node';
import type { Part } from './parts';

/** What the container around texts says of their width. */
interface Room {
  /** Px that a text may take. */
  readonly of: (part: Part) => number;
  /** How wide a text is that breaks as it is drawn in less than that. */
  readonly narrowed: Wide;
  /** True for a text that begins where its room does. */
  readonly begins: (place: FlowPlace) => boolean;
  /** True where the width does not come from the texts themselves. */
  readonly given: boolean;
  /** True where the room is as wide whatever is in it: long words would widen a column of a grid. */
  readonly firm: (part: Part) => boolean;
  /** True where a text that hugs its words takes one line if nobody says how wide it is. */
  readonly loose: boolean;
}

/** How texts break: freely where that gives the drawn lines, never where the room is already too small. */
export function textsIn(
  children: readonly PageNode[],
  parts: readonly Part[],
  room: Room,
): readonly PageNode[] {
  const { narrowed, given, loose } = room;
  return children.map((child, at): PageNode => {
    if (child.kind !== 'text' || child.place.kind !== 'flow') return child;
    const [available, firm] = [room.of(parts[at]!), room.firm(parts[at]!)];
    const { place } = child;
    return lastBroken(child, [available, narrowed, room.begins(place), given, firm, loose], () =>
      breakText(child, place, { ...room, available, firm }),
    );
  });
}

const lastBroken = lastMade<TextNode, PageNode>();

/** What the container says of the width of one text. */
interface OwnRoom extends Omit<Room, 'of' | 'firm'> {
  readonly available: number;
  readonly firm: boolean;
}

function breakText(node: TextNode, place: FlowPlace, room: OwnRoom): PageNode {
  if (node.lines.length === 1) return breakLine(node, place, room);
  const { available, narrowed, begins, given, loose } = room;
  const width = freeWidth(node, available);
  if (width === null) {
    const seen = place.width * (place.turn?.[0] ?? 1);
    const isTight = given && seen + unsure(seen) > available;
    const own = isTight && begins(place) ? withMore(place, unsure(seen)) : place;
    return { ...node, wraps: 'as-drawn', place: own };
  }
  const isWhole = width >= available - 0.01 && !(loose && place.wide === 'hug');
  // In a row, room that the words do not need would push what follows.
  const own = narrowed === 'set' ? Math.min(width, place.width + SLACK) : width;
  return { ...node, wraps: 'freely', place: isWhole ? place : { ...place, width: own, wide: narrowed } };
}

/** How a text of one line breaks. */
function breakLine(
  node: TextNode,
  place: FlowPlace,
  { available, narrowed, begins, given, firm, loose }: OwnRoom,
): PageNode {
  const seen = place.width * (place.turn?.[0] ?? 1);
  // What takes the rest of a row may be given a hair less than it needs.
  if (place.wide === 'fill' && seen <= available + 1)
    return { ...node, wraps: 'freely', place: withMore(place, unsure(seen)) };
  if (!place.turn) return { ...node, wraps: seen > available + 1 ? 'never' : 'freely' };
  const { left, right: beyond } = place.margin;
  // An end that is free does not make up for what letters take before they are squeezed.
  const taken = beyond === null ? Math.max(seen, place.width) : seen;
  const free = available - taken - (left ?? 0);
  const isFull = free < 1;
  // What is as wide as its words breaks them only where it is squeezed itself.
  if (loose && free >= -1) return { ...node, wraps: 'freely' };
  // Stretched letters break where they have no more room as they are drawn.
  if (narrowed === 'set') return { ...node, wraps: isFull ? 'never' : 'freely' };
  const isAtStart = left === 0 && begins(place);
  // A column of a grid is as wide as it was drawn, as long as there is room for it.
  if (!firm && isAtStart && free >= -1)
    return { ...node, wraps: 'freely', place: withMore(place, unsure(seen)) };
  // A full line breaks where it can, and what is cut off where the room ends is in one line.
  const breaks = !isFull || (given && free >= -1 && /\S\s+\S/.test(lineText(node.lines[0]!)));
  if (!firm || left === null || left < 0 || !begins(place) || !breaks)
    return { ...node, wraps: free > 1 + unsure(seen) ? 'freely' : 'never' };
  const right = isFull ? -unsure(seen) : 0;
  return { ...node, wraps: 'freely', place: { ...place, wide: 'whole', margin: { ...place.margin, right } } };
}

/** The place with so much more room at its end, px. */
function withMore(place: FlowPlace, more: number): FlowPlace {
  return { ...place, margin: { ...place.margin, right: (place.margin.right ?? 0) - more } };
}

/** True for what stands at the start across a container in which most things stand so. */
export function standsAtStart({ align }: FlowPlace, common: Align): boolean {
  return ['start', 'stretch'].includes(align ?? common);
}

/** Px by which the lines of a part may come out wider than they were drawn. */
export function unsureWidth({ box }: Part): number {
  return unsure(box.width);
}

function unsure(width: number): number {
  return SLACK + width * UNSURE;
}

/** The width of a line's first word is guessed from its letters; so much of the guess is trusted. */
const TRUSTED = 0.75;
/** Px that letters may be wider or narrower in the browser, and that a paragraph gets more than its longest line. */
const SLACK = 0.4;
const ROOM = 6;
/** The share by which letters of a stretched or oddly set line may come out wider. */
const UNSURE = 0.005;
/** Letters of scripts without spaces between words (CSS Text 3, §5.2). */
const WITHOUT_SPACES = /[\u2E80-\u9FFF\uAC00-\uD7AF\uF900-\uFAFF\u3040-\u30FF]/u;

/**
 * The width, at most `available` px, in which the browser breaks a paragraph of several lines as it is drawn; null when
 * it has to be told where to break.
 */
function freeWidth({ lines, place }: TextNode, available: number): number | null {
  if (lines.length < 2 || place.turn || lines.some((line) => line.at !== null)) return null;
  const texts = lines.map(lineText);
  if (texts.some((text) => WITHOUT_SPACES.test(text) || text.trim() === '' || /^\s|\s$/.test(text)))
    return null;
  if (texts.some((text, at) => text.endsWith('-') && !breaksWord(lines[at]!, lines[at + 1]))) return null;
  const longest = Math.max(...lines.map((line) => line.width));
  const breaks = lines.slice(1).map((line, at) => {
    const text = texts[at + 1] ?? '';
    const [word = ''] = text.split(' ');
    const guess = (line.width * (word.length + 1)) / Math.max(1, text.length);
    return (lines[at]?.width ?? 0) + guess * TRUSTED;
  });
  const most = Math.min(...breaks) - SLACK;
  if (available >= longest + SLACK && available <= most) return available;
  const width = longest + Math.min(ROOM, (most - longest) / 2);
  return most - longest >= 2 * SLACK && width <= available ? width : null;
}
