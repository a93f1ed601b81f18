import { isFieldRole } from '../../../sort/vocabulary';
import { MEASURED, SNAPPED } from '../../tolerances';
import equal from 'fast-deep-equal';
import { bottom, right, sameBox, type Box } from '../../../mockup/box';
import { memoizeLast, memoizeLastBy } from '../../../mockup/memoize';
import { isAnonymous } from '../../anonymousBox';
import { hasStretchedLines, type PageNode } from '../../node';
import type { FlowPlace, HeightMode, Pin, Margin } from '../../place';
import { placedBox } from '../../placed';
import { layOutColumn } from './column';
import { layOutGrid } from './grid';
import { isText, partOf, type Content, type Part } from './parts';
import { layOutRow } from './row';
import { FILL_CONTAINER, type LayoutResult, type LayOut, type SizingConstraints } from './sizing';
import { heightModeOf } from './spacing';
import { canFitContent, paddingBox } from './widths';

/**
 * Lays out a part in the flow with all of its content. An unchanged part with unchanged constraints keeps its
 * result, and an equal result keeps its node.
 */
export const layOut: LayOut = (part, stand) =>
  lastLaid(part.node, { part, stand }, (last) => {
    const made = layOutAnew(part, stand);
    return last && isLaidAlike(last, made) ? last : made;
  });

interface Laying {
  readonly part: Part;
  readonly stand: SizingConstraints;
}

const lastLaid = memoizeLastBy<PageNode, Laying, PageNode>(
  ({ part, stand }, last) => isSamePart(part, last.part) && isSameStand(stand, last.stand),
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

function isSameStand(one: SizingConstraints, other: SizingConstraints): boolean {
  return (
    one.widthMode === other.widthMode &&
    one.heightMode === other.heightMode &&
    one.align === other.align &&
    one.isWidthGiven === other.isWidthGiven &&
    one.margin.top === other.margin.top &&
    one.margin.right === other.margin.right &&
    one.margin.bottom === other.margin.bottom &&
    one.margin.left === other.margin.left
  );
}

/** True for two equal layouts of one node; looks and words are equal anyway. */
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

function layOutAnew(part: Part, stand: SizingConstraints): PageNode {
  const { node, content } = part;
  const place = flowPlace(part, stand);
  if (node.kind !== 'box') return { ...node, place };
  const loose = [...part.below, ...part.above];
  if (!content) return { ...node, place, children: loose.map((each) => pinned(each, part)) };
  const laid = layOutContent(part, content, stand.isWidthGiven, layOut);
  const children = [
    ...part.below.map((each) => pinned(each, part)),
    ...laid.children,
    ...part.above.map((each) => pinned(each, part)),
  ];
  return { ...node, place, layout: laid.layout, children };
}

const LAY_OUT = { row: layOutRow, column: layOutColumn, grid: layOutGrid } as const;

/**
 * Lays out the parts of a content in its direction.
 * @param given true where the container sets the width
 * @param layOutPart lays out each part with the constraints that it gets
 */
export function layOutContent(
  part: Part,
  content: Content,
  given: boolean,
  layOutPart: LayOut,
): LayoutResult {
  return LAY_OUT[content.direction](part, content, given, layOutPart);
}

/** The place of a part that the layout around constrains. */
export function flowPlace(
  { node, box }: Part,
  { widthMode, heightMode, align, margin }: SizingConstraints,
): FlowPlace {
  const { linear, fitsContent, height } = node.place;
  const widened = linear ? linear[0] : 1;
  const own: Margin =
    widened === 1 || margin.right === null
      ? margin
      : { ...margin, right: margin.right + node.place.width * (widened - 1) };
  const width = node.kind === 'box' ? box.width : node.place.width;
  // Browsers truncate the position of a transformed node to whole px.
  const drops = linear !== null || hasStretchedLines(node);
  const place = {
    kind: 'flow',
    widthMode,
    heightMode,
    align,
    margin: own,
    x: box.x,
    y: box.y,
    width,
    height,
    fitsContent,
    linear,
  } as const;
  return drops ? { ...place, subpixelShift: box.x - Math.round(box.x) } : place;
}

/** Pins an out-of-flow node to the edges that it is near to. */
function pinned(node: PageNode, around: Part): PageNode {
  const box = placedBox(node.place);
  const inner = paddingBox(around);
  // The corner of a transformed node is somewhere else.
  const isTurned = node.place.linear !== null;
  const stays = isTurned || node.keepsPlace === true;
  // Words that start inside and overflow at the end keep their start, whatever the width.
  const runs = node.look.type?.align === 'start' && box.x >= inner.x && right(box) > right(inner);
  const x = stays || runs ? 'start' : pinAlong(box.x - inner.x, right(inner) - right(box), inner.width);
  // The page has the height of its content: only its top edge is known.
  const y =
    stays || isAnonymous(around.node)
      ? 'start'
      : pinAlong(box.y - inner.y, bottom(inner) - bottom(box), inner.height);
  const part = partOf(node);
  const isLine =
    isText(part) && part.node.lines.length === 1 && part.node.lines[0]!.at === null && !isField(around);
  const isFree = hasContentWidth(part) && hasRoom(box, x, inner) && isFreeBeside(box, x, around);
  const widthMode = isLine || isFree ? 'fit' : 'drawn';
  const holds = {
    x,
    y: y === 'middle' ? 'start' : y,
    right: right(inner) - right(box),
    bottom: bottom(inner) - bottom(box),
    widthMode,
    heightMode: isLine ? 'fit' : pinsEnd(y) ? pinnedHeight(part) : 'drawn',
  } as const;
  // The content of the node flows again.
  const inside = layOut(part, { ...FILL_CONTAINER, isWidthGiven: widthMode === 'drawn' });
  return lastPinned(node, [inside, ...Object.values(holds)], () => ({
    ...inside,
    // An absolute line overflows the edges rather than wrap over what is beneath.
    ...(isLine && { wraps: 'never' }),
    place: { ...node.place, kind: 'fixed', pins: holds },
  }));
}

/** True for a field: its words become an input with the drawn width. */
function isField({ node }: Part): boolean {
  return node.kind === 'box' && isFieldRole(node.role);
}

const lastPinned = memoizeLast<PageNode, PageNode>();

function pinsEnd(hold: Pin): boolean {
  return hold === 'start' || hold === 'end';
}

/** Common practice, no source: the share by which texts in other languages may be longer. */
const LONGER_SHARE = 0.5;

/**
 * True for a pinned box whose pins leave room for all of its width: a shrink-to-fit width is limited to the
 * room (CSS 2.2, §10.3.7).
 */
function hasRoom(box: Box, hold: Pin, inner: Box): boolean {
  const room = { start: right(inner) - box.x, end: right(box) - inner.x, middle: inner.width, both: 0 };
  return box.width <= room[hold] + SNAPPED;
}

/** True where nothing stands near on the sides to which a box with content width grows. */
function isFreeBeside(box: Box, hold: Pin, { node }: Part): boolean {
  if (node.kind !== 'box') return true;
  return node.children.every((child) => {
    const other = placedBox(child.place);
    const isBeside = [
      ...(hold === 'end' ? [] : [other.x - right(box)]),
      ...(hold === 'start' ? [] : [box.x - right(other)]),
    ].some((gap) => gap >= -1 && gap < box.width * LONGER_SHARE);
    return !isBeside || other.y >= bottom(box) || bottom(other) <= box.y;
  });
}

/** True for a box that gets its drawn width without a declaration. */
function hasContentWidth(part: Part): boolean {
  return part.content !== null && part.node.place.linear === null && canFitContent(part);
}

function pinnedHeight(part: Part): HeightMode {
  return part.content === null ? 'drawn' : heightModeOf(part, false, 0);
}

/** The largest share of its parent that a part leaves free on both sides together when it spans the parent. */
const SPANNING_MARGINS = 0.16;

function pinAlong(before: number, after: number, length: number): Pin {
  if (Math.abs(before) + Math.abs(after) <= length * SPANNING_MARGINS + 1) return 'both';
  if (Math.abs(before - after) <= MEASURED.middle) return 'middle';
  return before <= after ? 'start' : 'end';
}
