import { memoizeByObject } from '../../mockup/memoize';
import type { Page } from '../frame';
import type { Layout } from '../layout';
import type { BoxNode, PageNode } from '../node';
import {
  comfortAlong,
  comfortOf,
  flowing,
  gapOf,
  isRegion,
  sides,
  stackedComfortOf,
  staysOnLine,
} from './comfort';
import { tableIn } from './tableChanges';
import { note, type WindowChange, type WindowTrial } from './windowChange';
import { wordsIn } from './wordChanges';

/** What changes in windows up to a width. */
export interface WindowStep {
  /** Px: narrower windows have the changes. */
  readonly below: number;
  readonly changes: ReadonlyMap<PageNode | Page, WindowChange>;
}

/** The width of tablets and of phones, the smallest window that is looked after, and steps between (common practice, no source). */
const [TABLET, SMALLEST] = [768, 320];
const STEPS = [832, 896, 960, 1024, 1088, 1152, 1216, 1280, 1440] as const;

/** Padding at the sides of narrow windows, px, and the one that is too much there. */
export const TIGHT_PADDING = 16;
const LOOSE_PADDING = 24;

/**
 * How a page in the flow changes in narrower windows, the widest step first: at most three. A container changes where its
 * parts do not fit beside each other any more; those that can shrink do so before others stand under each other.
 */
export const windowSteps = memoizeByObject((page: Page): readonly WindowStep[] => {
  const { layout, width, narrow } = page;
  if (!layout || narrow) return [];
  if (width <= TABLET) {
    const changes = changesAt(page, SMALLEST);
    return changes.size === 0 ? [] : [{ below: Math.floor(width), changes }];
  }
  const middle = changesAt(page, TABLET);
  const small: WindowStep = { below: TABLET, changes: changesAt(page, SMALLEST, middle) };
  const trials = STEPS.filter((step) => step < width).map((below) => ({
    below,
    changes: changesAt(page, below),
  }));
  const fits = trials.find(({ changes }) => changes.size === 0)?.below ?? Math.floor(width);
  // The narrowest window in which regions still stand beside each other.
  const beside = isStacked(middle)
    ? trials.find(({ below, changes }) => below < fits && !isStacked(changes))
    : undefined;
  const large = beside ? [{ below: fits, changes: beside.changes }] : [];
  const steps = [...large, { below: beside?.below ?? fits, changes: middle }, small];
  return steps.filter(({ changes }) => changes.size > 0);
});

/** True where parts that stand beside each other have to stand under each other. */
function isStacked(changes: Changes): boolean {
  return [...changes.values()].some(({ parts }) => parts === 'column');
}

type Changes = ReadonlyMap<PageNode | Page, WindowChange>;

/** The changes that make a page fit into a window of this width. */
function changesAt(page: Page, width: number, wider: Changes = new Map()): Changes {
  const trial: WindowTrial = { width, changes: new Map(), wider };
  if (page.layout) layOutIn(page, page.layout, width, trial);
  return trial.changes;
}

/** Lays out a container in the room that it has, and notes what has to change. */
function layOutIn(node: BoxNode | Page, layout: Layout, available: number, trial: WindowTrial): void {
  const padding = sides(layout);
  const isLoose = trial.width < TABLET && Math.max(layout.padding.left, layout.padding.right) > LOOSE_PADDING;
  if (isLoose) note(trial, node, { isTight: true });
  const room = Math.max(0, available - (isLoose ? Math.min(padding, 2 * TIGHT_PADDING) : padding));
  const parts = flowing(node.children);
  for (const child of node.children) {
    if (child.place.kind !== 'fixed') continue;
    if (trial.width < TABLET && isSideBar(child)) note(trial, child, { isStatic: true });
    else pinnedIn(child, available, trial);
  }
  if (layout.direction === 'column' || layout.direction === 'words') {
    for (const part of parts) {
      if (isWide(part, room) && hugsContent(part, layout)) note(trial, part, { isCapped: true });
      const sideRoom = sideRoomOf(part, widthOf(node) - padding);
      const isSqueezed = sideRoom > 0 && isWide(part, room - 2 * sideRoom);
      if (isSqueezed) note(trial, part, { sideRoom });
      partIn(part, isSqueezed ? room - 2 * sideRoom : room, trial, true);
    }
    return;
  }
  if (comfortAlong(node.children, layout) <= room + 1) {
    shareOut(parts, layout, room).forEach((length, at) => {
      const part = parts[at]!;
      // What takes the rest would give up all of its width before the others give up any.
      if (takesRest(part) && isWide(part, length) && !isRegion(part)) note(trial, part, { shares: true });
      partIn(part, length, trial, layout.direction === 'grid');
    });
    return;
  }
  const before = trial.wider.get(node);
  // Cells go on by themselves to one under each other.
  const way = before?.parts === 'cells' ? before : wayOf(parts, layout, room);
  note(trial, node, { parts: way.parts, cell: way.cell });
  for (const part of parts) {
    if (way.parts === 'column' && isSetWidth(part)) note(trial, part, { fills: true });
    if (way.parts === 'column' && isHighBeside(part)) note(trial, part, { isFree: true });
    if (way.parts === 'lines' && takesRest(part)) note(trial, part, { grows: true });
    const length = way.cell ?? room;
    partIn(part, Math.min(room, length), trial, way.parts !== 'lines');
  }
}

/** Even cells stay cells; short parts stand in lines; regions of a page stand under each other. */
function wayOf(parts: readonly PageNode[], { direction, tracks }: Layout, room: number): WindowChange {
  const widest = Math.max(0, ...parts.map(stackedComfortOf));
  const [first] = parts;
  const isAlike =
    parts.length > 1 &&
    parts.every((part) => part.kind === first?.kind && part.role === first.role && isAsWide(part, first));
  const isEven = direction === 'grid' && tracks.every(({ kind }) => kind === 'share');
  if (isAlike && (isEven || (direction === 'row' && parts.every(isRegion) && widest <= room / 2)))
    return { parts: 'cells', cell: Math.ceil(widest / 8) * 8 };
  return widest <= room && !parts.some(isRegion) ? { parts: 'lines' } : { parts: 'column' };
}

function widthOf(node: BoxNode | Page): number {
  return 'screen' in node ? node.width : node.place.width;
}

/** The room that the body of a page keeps at either side in windows that it would fill, px. */
function sideRoomOf({ kind, place }: PageNode, room: number): number {
  if (kind !== 'box' || place.kind !== 'flow' || place.widthMode !== 'max') return 0;
  return Math.max(0, Math.min(TIGHT_PADDING, Math.floor((room - place.width) / 2)));
}

function isWide({ place }: PageNode, room: number): boolean {
  return place.width > room + 1;
}

/** True for a box that is as wide as its content, which may not shrink by itself. */
function hugsContent({ kind, place }: PageNode, { align }: Layout): boolean {
  if (kind !== 'box' || place.kind !== 'flow' || place.widthMode !== 'fit') return false;
  return (place.align ?? align) !== 'stretch' || place.margin.left === null || place.margin.right === null;
}

/** True for a box that may be higher than its content for what stands beside it. */
function isHighBeside(part: PageNode): boolean {
  return (
    part.kind === 'box' &&
    part.children.length > 0 &&
    part.place.kind === 'flow' &&
    part.place.heightMode !== 'fit'
  );
}

/** The largest ratio of the widths of like parts. */
const MOST_WIDER = 1.3;

function isAsWide({ place: { width: one } }: PageNode, { place: { width: other } }: PageNode): boolean {
  return Math.max(one, other) <= MOST_WIDER * Math.min(one, other);
}

function takesRest({ place }: PageNode): boolean {
  return place.kind === 'flow' && place.widthMode === 'rest';
}

function isSetWidth({ kind, place }: PageNode): boolean {
  return (
    kind === 'box' && place.kind === 'flow' && (place.widthMode === 'drawn' || place.widthMode === 'rigid')
  );
}

/** The room of each part of a row or grid that fits, px. */
function shareOut(parts: readonly PageNode[], layout: Layout, room: number): readonly number[] {
  const { direction, tracks } = layout;
  const gap = gapOf(layout);
  if (direction === 'grid') {
    const count = Math.max(1, tracks.length);
    const shares = tracks.filter(({ kind }) => kind === 'share').length;
    const set = tracks.map((track, column) => {
      if (track.kind === 'px') return track.width;
      return track.kind === 'share'
        ? 0
        : Math.max(0, ...parts.filter((_, at) => at % count === column).map(({ place }) => place.width));
    });
    const free = room - gap * (count - 1) - set.reduce((all, each) => all + each, 0);
    const less = shares === 0 ? Math.max(0, -free) / count : 0;
    return parts.map((part, at) => {
      const track = tracks[at % count];
      const own = track?.kind === 'share' ? free / Math.max(1, shares) : set[at % count]! - less;
      return Math.max(comfortOf(part), own);
    });
  }
  const drawn = parts.map(({ place }) => place.width);
  const least = parts.map(comfortOf);
  const over = drawn.reduce((all, each) => all + each, 0) + gap * Math.max(0, parts.length - 1) - room;
  const slack = drawn.reduce((all, each, at) => all + Math.max(0, each - least[at]!), 0);
  return drawn.map((length, at) => {
    if (over <= 0) return length;
    const share = slack === 0 ? 0 : Math.max(0, length - least[at]!) / slack;
    return Math.max(least[at]!, length - over * share);
  });
}

/** @param isAlone true for a part with a line or a cell of its own */
function partIn(node: PageNode, room: number, trial: WindowTrial, isAlone: boolean): void {
  const { place } = node;
  const isWider = isWide(node, room);
  const isSet = place.kind === 'flow' && ['drawn', 'rigid', 'max'].includes(place.widthMode);
  const isFluid = place.kind === 'flow' && place.widthMode === 'max';
  const before = place.kind === 'flow' ? (place.margin.left ?? 0) : 0;
  if (before > LOOSE_PADDING && before + Math.min(place.width, stackedComfortOf(node)) > room + 1)
    note(trial, node, { isFlush: true });
  if (isWider && place.kind === 'flow' && (place.margin.right ?? 0) < 0)
    note(trial, node, { endsInside: true });
  if (isWider && node.kind === 'picture') note(trial, node, { isCapped: true });
  else if (isWider && isSet && !isFluid && !trial.changes.get(node)?.fills)
    note(trial, node, isAlone ? { isCapped: true } : { shrinks: true });
  if (isWider && node.kind === 'text') {
    if (node.look.type?.keepsSpaces) note(trial, node, { scrolls: true });
    else if (staysOnLine(node)) note(trial, node, { wraps: true });
  }
  if (node.kind === 'text') wordsIn(node, room, trial);
  if (node.kind !== 'box' || !node.layout) return;
  if (node.role === 'table') {
    tableIn(node, room, trial);
    return;
  }
  const isFixedHeight = place.kind === 'flow' && place.heightMode === 'drawn';
  if (isWider && isFixedHeight && node.children.length > 0) note(trial, node, { isFree: true });
  layOutIn(node, node.layout, isSet ? Math.min(room, place.width) : room, trial);
}

/** True for a high region beside the others: there is no room beside them in narrow windows. */
function isSideBar(node: PageNode): boolean {
  const { width, height } = node.place;
  return isRegion(node) && width <= TABLET / 2 && height >= 1.5 * width;
}

/** Px up to which something out of the flow is a spot on what it lies over, such as a badge: it keeps its place. */
const WIDEST_SPOT = SMALLEST / 2;

/** True for a node out of the flow that keeps its distance to the start of what is around it. */
export function isIndented({ place }: PageNode): boolean {
  return place.kind === 'fixed' && place.pins?.x === 'start' && place.x > 0;
}

/** The room that a node out of the flow, in the middle of what is around it, keeps at either side, px. */
export function sideRoomOfMiddle({ place }: PageNode): number {
  if (place.kind !== 'fixed' || place.pins?.x !== 'middle') return 0;
  return Math.max(0, Math.min(TIGHT_PADDING, Math.floor(Math.min(place.x, place.pins.right))));
}

/** What is out of the flow stays within what is around it; a picture behind others is cut off rather than shrunk. */
function pinnedIn(node: PageNode, available: number, trial: WindowTrial): void {
  const { x, width } = node.place;
  if (node.kind !== 'box') return;
  const end = width + (isIndented(node) ? x : 2 * sideRoomOfMiddle(node));
  if (end > available + 1 && width > WIDEST_SPOT) note(trial, node, { isCapped: true });
  if (node.layout) layOutIn(node, node.layout, Math.min(available, node.place.width), trial);
}
