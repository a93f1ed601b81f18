import equal from 'fast-deep-equal';
import { bottom, right, sameBox, type Box } from '../../../mockup/box';
import type { LayerKey } from '../../../mockup/layer';
import { lastMade, lastMadeFrom } from '../../../mockup/remember';
import { isMade } from '../../made';
import {
  hasStretchedLines,
  type FlowPlace,
  type High,
  type Hold,
  type Margin,
  type PageNode,
} from '../../node';
import { placedBox } from '../../placed';
import { layOutColumn } from './column';
import { layOutGrid } from './grid';
import { isText, partOf, type Content, type Part } from './parts';
import { layOutRow } from './row';
import { MIDDLE, WHOLE, type Laid, type LayOut, type Stand } from './stand';
import { high } from './spacing';
import { canHug, paddingBox } from './widths';

/**
 * Lays out what is inside of a box that stands in the flow. What holds the same and stands alike is not laid out again, and
 * what comes out as the last time stays the same node.
 * @param waiting layers that, as long as they hold the same, stay as they were the last time, however they stand by now
 */
export function layingOut(waiting: ReadonlySet<LayerKey>): LayOut {
  const layOut: LayOut = (part, stand) =>
    lastLaid(part.node, { part, stand, waits: waiting.has(part.node.layer) }, (last) => {
      const made = layOutAnew(part, stand, layOut);
      return last && isLaidAlike(last, made) ? last : made;
    });
  return layOut;
}

/** The same, where nothing waits. */
export const layOut = layingOut(new Set());

interface Laying {
  readonly part: Part;
  readonly stand: Stand;
  readonly waits: boolean;
}

const lastLaid = lastMadeFrom<PageNode, Laying, PageNode>(({ part, stand, waits }, last) =>
  waits ? part.content === last.part.content : isSamePart(part, last.part) && isSameStand(stand, last.stand),
);

function isSamePart(one: Part, other: Part): boolean {
  return (
    one === other ||
    (one.content === other.content &&
      one.below === other.below &&
      one.above === other.above &&
      one.sized === other.sized &&
      sameBox(one.box, other.box, 0))
  );
}

function isSameStand(one: Stand, other: Stand): boolean {
  return (
    one.wide === other.wide &&
    one.high === other.high &&
    one.align === other.align &&
    one.given === other.given &&
    one.margin.top === other.margin.top &&
    one.margin.right === other.margin.right &&
    one.margin.bottom === other.margin.bottom &&
    one.margin.left === other.margin.left
  );
}

/** Two layouts of one node, whose looks and words are the same anyway. */
function isLaidAlike(one: PageNode, other: PageNode): boolean {
  if (!equal(one.place, other.place) || one.kind !== 'box' || other.kind !== 'box')
    return one.kind !== 'box' && equal(one.place, other.place);
  const [children, others] = [one.children, other.children];
  return (
    children.length === others.length &&
    children.every((child, at) => child === others[at]) &&
    equal(one.layout, other.layout)
  );
}

function layOutAnew(part: Part, stand: Stand, layOut: LayOut): PageNode {
  const { node, content } = part;
  const place = flowPlace(part, stand);
  if (node.kind !== 'box') return { ...node, place };
  const loose = [...part.below, ...part.above];
  if (!content) return { ...node, place, children: loose.map((each) => hold(each, part, layOut)) };
  const laid = LAY_OUT[content.direction](part, content, stand.given, layOut);
  const children = [
    ...part.below.map((each) => hold(each, part, layOut)),
    ...laid.children,
    ...part.above.map((each) => hold(each, part, layOut)),
  ];
  return { ...node, place, layout: laid.layout, children };
}

const LAY_OUT: Readonly<
  Record<Content['direction'], (part: Part, content: Content, given: boolean, layOut: LayOut) => Laid>
> = { row: layOutRow, column: layOutColumn, grid: layOutGrid };

function flowPlace({ node, box }: Part, { wide, high, align, margin }: Stand): FlowPlace {
  const { turn, hugs, height } = node.place;
  const widened = turn ? turn[0] : 1;
  const own: Margin =
    widened === 1 || margin.right === null
      ? margin
      : { ...margin, right: margin.right + node.place.width * (widened - 1) };
  const width = node.kind === 'box' ? box.width : node.place.width;
  // Browsers put what is turned at whole px first.
  const drops = turn !== null || hasStretchedLines(node);
  const place = {
    kind: 'flow',
    wide,
    high,
    align,
    margin: own,
    x: box.x,
    y: box.y,
    width,
    height,
    hugs,
    turn,
  } as const;
  return drops ? { ...place, shift: box.x - Math.round(box.x) } : place;
}

/** A loose node keeps its distance to the edges that it is near to. */
function hold(node: PageNode, around: Part, layOut: LayOut): PageNode {
  const box = placedBox(node.place);
  const inner = paddingBox(around);
  // What is turned has its corner somewhere else.
  const isTurned = node.place.turn !== null;
  const stays = isTurned || node.drawn === true;
  // Words that begin inside and run out at the end begin there whatever the width.
  const runs = node.look.type?.align === 'start' && box.x >= inner.x && right(box) > right(inner);
  const x = stays || runs ? 'start' : holdAlong(box.x - inner.x, right(inner) - right(box), inner.width);
  // The page itself is as high as it comes out: only its upper edge is sure.
  const y =
    stays || isMade(around.node)
      ? 'start'
      : holdAlong(box.y - inner.y, bottom(inner) - bottom(box), inner.height);
  const part = partOf(node);
  const isLine =
    isText(part) && part.node.lines.length === 1 && part.node.lines[0]!.at === null && !isField(around);
  const isFree = hugsAcross(part) && hasRoom(box, x, inner) && isFreeBeside(box, x, around);
  const wide = isLine || isFree ? 'hug' : 'set';
  const holds = {
    x,
    y: y === 'middle' ? 'start' : y,
    right: right(inner) - right(box),
    bottom: bottom(inner) - bottom(box),
    wide,
    high: isLine ? 'hug' : isAtEnd(y) ? heldHeight(part) : 'set',
  } as const;
  // What is inside of it flows again.
  const inside = layOut(part, { ...WHOLE, given: wide === 'set' });
  return lastHeld(node, [inside, ...Object.values(holds)], () => ({
    ...inside,
    // A line that lies loose goes on past the edges rather than break over what is beneath it.
    ...(isLine && { wraps: 'never' }),
    place: { ...node.place, kind: 'fixed', holds },
  }));
}

/** True for a field, whose words become an input as wide as it is drawn. */
function isField({ node }: Part): boolean {
  return node.kind === 'box' && node.role === 'field';
}

const lastHeld = lastMade<PageNode, PageNode>();

function isAtEnd(hold: Hold): boolean {
  return hold === 'start' || hold === 'end';
}

/** Common practice, no source: other languages need up to so much more room, as a share of the width. */
const LONGER = 0.5;

/**
 * True for a box held in a place that has all of its width: where there is less, a width that the content gives is as much
 * as there is (CSS 2.2, §10.3.7).
 */
function hasRoom(box: Box, hold: Hold, inner: Box): boolean {
  const room = { start: right(inner) - box.x, end: right(box) - inner.x, middle: inner.width, both: 0 };
  return box.width <= room[hold] + SLACK;
}

/** Px by which what is drawn may be off. */
const SLACK = 0.5;

/** True where nothing around stands near on the sides to which a box of its content's width grows. */
function isFreeBeside(box: Box, hold: Hold, { node }: Part): boolean {
  if (node.kind !== 'box') return true;
  return node.children.every((child) => {
    const other = placedBox(child.place);
    const isBeside = [
      ...(hold === 'end' ? [] : [other.x - right(box)]),
      ...(hold === 'start' ? [] : [box.x - right(other)]),
    ].some((gap) => gap >= -1 && gap < box.width * LONGER);
    return !isBeside || other.y >= bottom(box) || bottom(other) <= box.y;
  });
}

/** True for a box that comes out as wide as it was drawn without being told. */
function hugsAcross(part: Part): boolean {
  return part.content !== null && part.node.place.turn === null && canHug(part);
}

function heldHeight(part: Part): High {
  return part.content === null ? 'set' : high(part, false, 0);
}

function holdAlong(before: number, after: number, length: number): Hold {
  if (Math.abs(before) + Math.abs(after) <= length * 0.04 + 1) return 'both';
  if (Math.abs(before - after) <= MIDDLE) return 'middle';
  return before <= after ? 'start' : 'end';
}
