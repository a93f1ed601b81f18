import { bottom, right, type Box } from '../../../mockup/box';
import {
  NO_MARGIN,
  walkNodes,
  type Align,
  type BoxNode,
  type Edges,
  type FlowPlace,
  type Hold,
  type Layout,
  type Margin,
  type PageNode,
  type TextNode,
  type Track,
  type Wide,
} from '../../node';
import { placedBox } from '../../lower';
import { aroundAll, isText, partOf, type Content, type Part } from './parts';
import { canHug, freeWidth, isIntrinsic, isTight, isUnseen, paddingBox } from './widths';

/** Px by which edges may miss each other and still be meant as one line. */
const EDGE = 0.5;
/** The same for middles, which browsers round. */
const MIDDLE = 1;

/** What a part takes from the layout around it. */
type Stand = Pick<FlowPlace, 'wide' | 'high' | 'align' | 'margin'> & {
  /** True when the box around says how wide the part is, not its content. */
  readonly given: boolean;
};

const PLAIN: Stand = { wide: 'hug', high: 'hug', align: null, margin: NO_MARGIN, given: false };

/** Lays out what is inside of a box that stands in the flow. */
export function layOut(part: Part, standing: Stand): PageNode {
  const { node, content } = part;
  const place = flowPlace(part, standing);
  if (node.kind !== 'box') return { ...node, place };
  const loose = [...part.below, ...part.above];
  if (!content) return { ...node, place, children: loose.map((each) => hold(each, part)) };
  const laid = LAY_OUT[content.direction](part, content, standing.given);
  const children = [
    ...part.below.map((each) => hold(each, part)),
    ...(node.role === 'list' ? laid.children.map(asItem) : laid.children),
    ...part.above.map((each) => hold(each, part)),
  ];
  return { ...node, place, layout: laid.layout, children };
}

/** A list holds items only (HTML, §4.4.8): anything else is put into one that stands in its place. */
function asItem(node: PageNode): PageNode {
  if (node.role === 'item' || node.place.kind !== 'flow') return node;
  if (node.kind === 'box' && node.role === 'box') return { ...node, role: 'item' };
  const { place } = node;
  const inside: FlowPlace = { ...place, wide: 'hug', high: 'hug', align: null, margin: NO_MARGIN };
  return {
    kind: 'box',
    layer: node.layer,
    made: true,
    name: 'item',
    named: false,
    role: 'item',
    classes: [],
    place: { ...place, turn: null },
    look: {},
    hidden: false,
    layout: {
      direction: 'column',
      tracks: [],
      gap: 0,
      rowGap: 0,
      padding: { top: 0, right: 0, bottom: 0, left: 0 },
      align: node.kind === 'picture' ? 'start' : 'stretch',
      justify: 'start',
    },
    children: [{ ...node, place: inside }],
  };
}

interface Laid {
  readonly layout: Layout;
  readonly children: readonly PageNode[];
}

const LAY_OUT: Readonly<
  Record<Content['direction'], (part: Part, content: Content, given: boolean) => Laid>
> = { row: layOutRow, column: layOutColumn, grid: layOutGrid };

function flowPlace({ node, box }: Part, { given: _, ...standing }: Stand): FlowPlace {
  const { turn } = node.place;
  const widened = turn ? turn[0] : 1;
  const margin: Margin =
    widened === 1 || standing.margin.right === null
      ? standing.margin
      : { ...standing.margin, right: standing.margin.right + node.place.width * (widened - 1) };
  const { hugs } = node.place;
  const width = node.kind === 'box' ? box.width : node.place.width;
  return {
    ...standing,
    kind: 'flow',
    x: box.x,
    y: box.y,
    width,
    height: node.place.height,
    hugs,
    turn,
    margin,
  };
}

/** A loose node keeps its distance to the edges that it is near to. */
function hold(node: PageNode, around: Part): PageNode {
  const box = placedBox(node.place);
  const inner = paddingBox(around);
  // What is turned has its corner somewhere else.
  const isTurned = node.place.turn !== null;
  const x = isTurned ? 'start' : holdAlong(box.x - inner.x, right(inner) - right(box), inner.width);
  const y = isTurned ? 'start' : holdAlong(box.y - inner.y, bottom(inner) - bottom(box), inner.height);
  const holds = {
    x,
    y: y === 'middle' ? 'start' : y,
    right: right(inner) - right(box),
    bottom: bottom(inner) - bottom(box),
  } as const;
  // What is inside of it flows again, within a box of a set size.
  const inside = layOut(partOf(node), { ...PLAIN, given: true });
  return { ...inside, place: { ...node.place, kind: 'fixed', holds } };
}

function holdAlong(before: number, after: number, length: number): Hold {
  if (Math.abs(before) + Math.abs(after) <= length * 0.04 + 1) return 'both';
  if (Math.abs(before - after) <= MIDDLE) return 'middle';
  return before <= after ? 'start' : 'end';
}

// Rows

function layOutRow(part: Part, content: Content, given: boolean): Laid {
  const { parts } = content;
  const inner = paddingBox(part);
  const inside = aroundAll(parts.map(({ box }) => box));
  const [before, after] = [inside.x - inner.x, right(inner) - right(inside)];
  if (given && areEven(parts, inner, before, after))
    return layOutGrid(part, { direction: 'grid', parts, rows: [parts] }, given);
  const gaps = parts.slice(1).map(({ box }, at) => box.x - right(parts[at]!.box));
  const wides = given ? rowWides(parts, inner, before, after) : parts.map((each) => firmWide(each));
  const filled = wides.includes('fill');
  const justify = given && !filled ? justifyRow(gaps, before, after, inner) : 'start';
  const free = justify === 'start' && given && !filled ? freeGap(gaps, before, after) : null;
  const gap = commonGap(gaps.filter((_, at) => at !== free && justify !== 'between'));
  const { align, line, owns } = alignLine(parts, inside);
  const vertical = insets(part, line);
  const spaces = spaceOut(gaps, gap, ACROSS_SLACK);
  const children = parts.map((each, at) => {
    const wide = wides[at]!;
    const own = owns[at]!;
    const left =
      at === 0
        ? Math.min(0, extra(before))
        : justify === 'between'
          ? 0
          : at - 1 === free
            ? null
            : spaces[at - 1]!;
    const { over } = vertical;
    const margin = { top: own.top + over.top, left, right: 0, bottom: over.bottom };
    const isGiven = wide !== 'hug' || (given && wide !== 'hug');
    return layOut(each, {
      wide,
      high: high(each, own.align === 'stretch' || (own.align === null && align === 'stretch'), line.height),
      align: own.align,
      margin,
      given: isGiven,
    });
  });
  const sides =
    justify === 'middle'
      ? { left: 0, right: 0 }
      : justify === 'end'
        ? { left: 0, right: after }
        : {
            left: before,
            right:
              !given || filled || free !== null || justify === 'between'
                ? after
                : Math.min(after, Math.max(0, before)),
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
  return { layout, children: textsIn(children, parts, (each) => each.box.width + slack, 'set', align) };
}

/** Common practice, no source: what takes up so much of a row is its main thing. */
const MAIN_SHARE = 0.3;

/** True for boxes of one width that share a row out between them. */
function areEven(parts: readonly Part[], inner: Box, before: number, after: number): boolean {
  const first = parts[0]!.box.width;
  const gaps = parts.slice(1).map(({ box }, at) => box.x - right(parts[at]!.box));
  const alike =
    parts.every(({ box, node }) => node.kind === 'box' && Math.abs(box.width - first) <= 1) &&
    gaps.every((gap) => Math.abs(gap - gaps[0]!) <= 1);
  const filling = parts.reduce((sum, { box }) => sum + box.width, 0) >= inner.width * 0.5;
  return parts.length > 1 && alike && filling && after <= Math.max(before * 1.5, 32) && after >= -1;
}

function rowWides(parts: readonly Part[], inner: Box, before: number, after: number): readonly Wide[] {
  const reaches = after <= Math.max(before * 1.5, 32) && after >= -1;
  const firm = parts.map((each) => firmWide(each));
  if (!reaches) return firm;
  let main: number | null = null;
  parts.forEach((each, at) => {
    const isRoomy =
      each.box.width >= MAIN_SHARE * inner.width && (!canHug(each) || each.box.width >= 0.5 * inner.width);
    const isPlainText = isText(each) && each.node.lines.length < 2;
    if (!isRoomy || isPlainText || each.node.kind === 'picture') return;
    if (main === null || each.box.width > parts[main]!.box.width) main = at;
  });
  return firm.map((wide, at) => (at === main ? 'fill' : wide));
}

/** The width of what does not grow. */
function firmWide(part: Part): Wide {
  if (part.node.kind === 'picture' || isSmallDrawing(part)) return 'firm';
  if (isText(part))
    return part.node.even ? 'set' : part.node.lines.some((line) => line.at !== null) ? 'firm' : 'hug';
  if (!part.content) return 'set';
  return canHug(part) || isTight(part) ? 'hug' : 'set';
}

/** Common practice, no source: icons, avatars and dots keep their size, px. */
const SMALL = 96;

function isSmallDrawing({ node, box }: Part): boolean {
  if (node.kind !== 'box' || box.width > SMALL || box.height > SMALL) return false;
  return [...walkNodes(node.children)].every(({ kind }) => kind !== 'text');
}

/** Common practice, no source: px between parts that belong together at most; more is free space. */
const TOGETHER = 56;

function justifyRow(gaps: readonly number[], before: number, after: number, inner: Box): Layout['justify'] {
  if (Math.abs(before - after) <= MIDDLE * 1.5 && before > 0) {
    const isTight = gaps.every((gap) => gap <= TOGETHER);
    if (isTight && before > Math.max(16, inner.height * 0.5)) return 'middle';
  }
  if (gaps.length === 1 && gaps[0]! > TOGETHER && after <= Math.max(before * 1.5, 40)) return 'between';
  if (after >= -1 && after * 2 < before && before > TOGETHER) return 'end';
  return 'start';
}

/** The gap that takes what is free when the row is wider: the only large one. */
function freeGap(gaps: readonly number[], before: number, after: number): number | null {
  if (after > Math.max(before * 1.5, 40)) return null;
  const largest = Math.max(0, ...gaps);
  const others = gaps.filter((gap) => gap !== largest);
  const isLone = others.length === gaps.length - 1 && others.every((gap) => gap * 1.5 <= largest);
  return isLone && largest >= 16 ? gaps.indexOf(largest) : null;
}

// Columns

function layOutColumn(part: Part, { parts }: Content, given: boolean): Laid {
  const inner = paddingBox(part);
  const inside = aroundAll(parts.map(({ box }) => box));
  const vertical = insets(part, inside);
  const free = columnSides(parts, inner, inside, vertical, given);
  const sides = { left: Math.max(0, free.left), right: Math.max(0, free.right) };
  const room: Box = { ...inside, x: inner.x + sides.left, width: inner.width - sides.left - sides.right };
  const widened = parts.map((each) => widen(each, room, given));
  const tendencies = widened.map((each) => tendency(each, room));
  const align = commonest(tendencies);
  const gaps = parts.slice(1).map(({ box }, at) => box.y - bottom(parts[at]!.box));
  const gap = commonGap(gaps);
  const defines =
    widened.some((each) => spans(each.box, room) && isIntrinsic(each) && each.content !== null) ||
    widened.some((each) => isText(each) && spans(each.box, room));
  const spaces = spaceOut(gaps, gap, DOWN_SLACK);
  const children = widened.map((each, at) => {
    const top = at === 0 ? vertical.over.top : spaces[at - 1]!;
    const below = at === widened.length - 1 ? vertical.over.bottom : 0;
    const own = tendencies[at]!;
    const margin: Margin = {
      top,
      left: own === 'off' ? extra(each.box.x - room.x) : 0,
      right: 0,
      bottom: below,
    };
    const wanted: Align | null =
      own === 'any' ? null : own === 'off' ? 'start' : own === 'text' ? 'start' : own;
    const fits =
      own === 'any' ||
      wanted === align ||
      (own === 'text' && align === 'stretch') ||
      (own === 'off' && isText(each) && align === 'stretch');
    const stretched = (fits ? align : wanted) === 'stretch' && own === 'stretch';
    const wide = columnWide(each, stretched, wanted === 'middle', given, defines, room);
    return layOut(each, {
      wide,
      high: high(each, false, 0),
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
    children: textsIn(children, widened, ({ box }) => (given ? room.width : box.width), 'capped', align),
  };
}

/** Padding at the sides of a column: what its wide parts leave free; centred words need none. */
function columnSides(
  parts: readonly Part[],
  inner: Box,
  inside: Box,
  { top, bottom: below }: { readonly top: number; readonly bottom: number },
  given: boolean,
): { readonly left: number; readonly right: number } {
  const left = inside.x - inner.x;
  const rest = right(inner) - right(inside);
  if (!given) return { left, right: rest };
  const isBroad = (each: Part) =>
    spans(each.box, inside) &&
    !(isText(each) && each.node.lines.length === 1) &&
    !(each.node.kind === 'picture') &&
    !canHug(each);
  if (parts.some(isBroad)) return { left, right: rest };
  if (Math.abs(left - rest) <= MIDDLE * 1.5 && left > 0) {
    const both = Math.min(left, rest, Math.max(top, below, 0));
    return { left: both, right: both };
  }
  if (rest < left && rest >= 0 && parts.every(({ box }) => Math.abs(right(box) - right(inside)) <= EDGE))
    return { left: rest, right: rest };
  return { left, right: Math.min(Math.max(0, left), rest) };
}

/** What was made, or holds paragraphs and shows nothing by itself, takes the whole room: it has something to share out. */
function widen(part: Part, room: Box, given: boolean): Part {
  const { node, box } = part;
  if (!given || node.kind !== 'box' || !isUnseen(part) || !part.content) return part;
  const [before, after] = [box.x - room.x, right(room) - right(box)];
  if (before < -EDGE || after < -EDGE) return part;
  if (!node.made && (before > EDGE || isIntrinsic(part))) return part;
  const x = node.made ? room.x : box.x;
  return { ...part, box: { ...box, x, width: right(room) - x } };
}

type Tendency = Align | 'text' | 'any' | 'off';

/** How a part stands across its column: `text` starts at the edge, `any` leaves the choice, `off` is out of line. */
function tendency(part: Part, room: Box): Tendency {
  const [before, after] = [part.box.x - room.x, right(room) - right(part.box)];
  if (spans(part.box, room)) return isText(part) ? 'any' : 'stretch';
  if (Math.abs(before) <= EDGE) return isText(part) ? 'text' : 'start';
  if (Math.abs(before - after) <= MIDDLE * 1.5) return 'middle';
  if (Math.abs(after) <= EDGE) return 'end';
  return 'off';
}

function spans(box: Box, room: Box): boolean {
  return Math.abs(box.x - room.x) <= EDGE && Math.abs(right(box) - right(room)) <= EDGE;
}

/** The alignment that most parts have; what leaves a choice follows. */
function commonest(tendencies: readonly Tendency[]): Align {
  const votes: Record<Align, number> = { stretch: 0, start: 0, middle: 0, end: 0 };
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
  if (stretched) return given || defines || canHug(part) ? 'hug' : 'set';
  if (isText(part)) return firmWide(part);
  if (!content) return firmWide(part);
  const isBody = part.box.width >= Math.max(BODY_WIDTH, BODY_SHARE * room.width);
  if (centred && given && (isBody || (!canHug(part) && !isTight(part)))) return 'capped';
  return firmWide(part);
}

// Grids

function layOutGrid(part: Part, { parts, rows }: Content, given: boolean): Laid {
  const inner = paddingBox(part);
  const inside = aroundAll(parts.map(({ box }) => box));
  const count = rows[0]?.length ?? 0;
  const columns = Array.from({ length: count }, (_, at) =>
    aroundAll(rows.flatMap((row) => (row[at] ? [row[at].box] : []))),
  );
  const lines = rows.map((row) => aroundAll(row.flatMap((cell) => (cell ? [cell.box] : []))));
  const gap = Math.max(0, Math.min(...columns.slice(1).map(({ x }, at) => x - right(columns[at]!))));
  const rowGaps = lines.slice(1).map(({ y }, at) => y - bottom(lines[at]!));
  const rowGap = Math.min(...rowGaps);
  const before = inside.x - inner.x;
  const after = right(inner) - right(inside);
  const reaches = given && after >= -1 && after <= Math.max(before * 1.5, 32);
  const cells = columns.map(({ x, width }, at) => {
    const next = columns[at + 1];
    return { x, width: next ? next.x - x - gap : width };
  });
  const tracks = gridTracks(cells, reaches);
  const align = commonAlign(
    rows.flatMap((row, at) => row.flatMap((cell) => (cell ? [crossAlign([cell], lines[at]!)] : []))),
  );
  const vertical = insets(part, inside);
  const laid = rows.flatMap((row, at) =>
    row.flatMap((cell, column): [PageNode, Part][] => {
      if (!cell) return [];
      const line = lines[at]!;
      const own = ownAlign(cell.box, line, align);
      const late = at === 0 ? 0 : extra(rowGaps[at - 1]! - rowGap);
      const track = { ...line, ...cells[column]! };
      const across = acrossCell(cell, track);
      const stretched = across.stretch && !isText(cell) && cell.node.kind === 'box';
      const wide: Wide = stretched ? 'hug' : firmWide(cell);
      const isShare = tracks[column]?.kind === 'share';
      const child = layOut(cell, {
        wide,
        high: high(cell, (own.align ?? align) === 'stretch', line.height),
        align: own.align,
        margin: { top: own.top + late + (at === 0 ? vertical.over.top : 0), ...across.margin, bottom: 0 },
        given: stretched || wide === 'set' || isShare,
      });
      return [[child, cell]];
    }),
  );
  const layout: Layout = {
    direction: 'grid',
    tracks,
    gap,
    rowGap,
    padding: {
      ...vertical,
      left: extra(before),
      right: extra(reaches || !given ? after : Math.min(after, Math.max(0, before))),
    },
    align,
    justify: 'start',
  };
  const widths = new Map(
    rows.flatMap((row) => row.flatMap((cell, at) => (cell ? [[cell, cells[at]!.width] as const] : []))),
  );
  const children = textsIn(
    laid.map(([child]) => child),
    laid.map(([, cell]) => cell),
    (cell) => widths.get(cell) ?? cell.box.width,
    'capped',
    'middle',
  );
  return { layout, children: withEmptyCells(children, rows) };
}

/** Columns of one width share what there is; else the widest takes what the others leave. */
function gridTracks(cells: readonly { readonly width: number }[], reaches: boolean): readonly Track[] {
  const first = cells[0]?.width ?? 0;
  if (reaches && cells.every(({ width }) => Math.abs(width - first) <= 1))
    return cells.map(() => ({ kind: 'share' }));
  const widest = Math.max(...cells.map(({ width }) => width));
  const main = reaches ? cells.findIndex(({ width }) => width === widest) : -1;
  return cells.map(({ width }, at) => (at === main ? { kind: 'share' } : { kind: 'px', width }));
}

function acrossCell(
  { box }: Part,
  track: Box,
): { readonly stretch: boolean; readonly margin: Pick<Margin, 'left' | 'right'> } {
  const [before, after] = [box.x - track.x, right(track) - right(box)];
  if (Math.abs(before) <= 1 && Math.abs(after) <= 1) return { stretch: true, margin: { left: 0, right: 0 } };
  if (Math.abs(before) <= EDGE) return { stretch: false, margin: { left: 0, right: null } };
  if (Math.abs(before - after) <= MIDDLE * 1.5)
    return { stretch: false, margin: { left: null, right: null } };
  if (Math.abs(after) <= EDGE) return { stretch: false, margin: { left: null, right: 0 } };
  return { stretch: false, margin: { left: extra(before), right: null } };
}

/** An empty cell is a box without anything in it. */
function withEmptyCells(
  children: readonly PageNode[],
  rows: readonly (readonly (Part | null)[])[],
): readonly PageNode[] {
  let next = 0;
  return rows.flatMap((row) => {
    const line = row.map((cell) => (cell ? children[next++]! : null));
    const last = line.findLastIndex((cell) => cell !== null);
    const isLast = row === rows.at(-1);
    return line.flatMap((cell, at): PageNode[] => (cell ? [cell] : isLast && at > last ? [] : [EMPTY_CELL]));
  });
}

const EMPTY_CELL: BoxNode = {
  kind: 'box',
  layer: '',
  made: true,
  name: 'empty',
  named: false,
  role: 'box',
  classes: [],
  place: {
    kind: 'flow',
    x: 0,
    y: 0,
    width: 0,
    height: 0,
    hugs: true,
    turn: null,
    wide: 'hug',
    high: 'hug',
    align: null,
    margin: NO_MARGIN,
  },
  look: {},
  hidden: false,
  children: [],
};

// What rows, columns and grids share

/** How much more padding there may be below than above before it is free space. */
const DEEP = 1.6;

interface Insets {
  readonly top: number;
  readonly bottom: number;
  /** Px by which the content sticks out of its box, above and below: padding cannot be negative. */
  readonly over: { readonly top: number; readonly bottom: number };
}

/** The padding above and below; free space beneath the content is no padding. */
function insets(part: Part, inside: Box): Insets {
  const inner = paddingBox(part);
  const top = extra(inside.y - inner.y);
  const below = extra(bottom(inner) - bottom(inside));
  return {
    top: Math.max(0, top),
    bottom: Math.max(0, isDeep(part, inside) ? Math.min(top, below) : below),
    over: { top: Math.min(0, top), bottom: Math.min(0, below) },
  };
}

function padded(
  { top, bottom: below }: Insets,
  sides: { readonly left: number; readonly right: number },
): Edges {
  return { top, bottom: below, left: Math.max(0, extra(sides.left)), right: Math.max(0, extra(sides.right)) };
}

function isDeep(part: Part, inside: Box): boolean {
  if (part.node.kind === 'box' && part.node.made) return false;
  const inner = paddingBox(part);
  return bottom(inner) - bottom(inside) > Math.max(0, inside.y - inner.y) * DEEP + 8;
}

function high(part: Part, stretched: boolean, height: number): FlowPlace['high'] {
  if (part.node.kind === 'picture') return 'hug';
  if (isText(part))
    return !part.node.even && part.node.lines.some((line) => line.at !== null) ? 'set' : 'hug';
  if (!part.content) return stretched && height > part.box.height + 1 ? 'hug' : 'set';
  const inside = aroundAll(part.content.parts.map((each) => each.box));
  return isDeep(part, inside) ? 'least' : 'hug';
}

/** Px by which a part may stand off before it gets a margin. */
const ACROSS_SLACK = 0.5;
const DOWN_SLACK = 0.3;

/** What each gap has beyond the common one; small differences are left out until they add up. */
function spaceOut(gaps: readonly number[], common: number, slack: number): readonly number[] {
  let off = 0;
  return gaps.map((gap) => {
    const needed = gap - common + off;
    off = Math.abs(needed) <= slack ? needed : 0;
    return off === needed ? 0 : needed;
  });
}

/** Differences below a hundredth of a px are the file's rounding. */
function extra(length: number): number {
  return Math.abs(length) < 0.011 ? 0 : length;
}

/** Px by which gaps may differ and still be meant as one. */
const SAME_GAP = 0.5;
/** The share of the gaps that the common one has at least. */
const COMMON = 0.6;

/** The gap that most have, else the smallest; never a negative one. */
function commonGap(gaps: readonly number[]): number {
  if (gaps.length === 0) return 0;
  const counts = gaps.map((gap) => gaps.filter((other) => Math.abs(other - gap) <= SAME_GAP).length);
  const most = Math.max(...counts);
  const gap = most >= COMMON * gaps.length ? gaps[counts.indexOf(most)]! : Math.min(...gaps);
  return Math.max(0, extra(gap));
}

/** How most parts stand across a row. */
function crossAlign(parts: readonly Part[], line: Box): Align {
  const found = parts.map(({ box, node, content }): Align | null => {
    const [above, below] = [box.y - line.y, bottom(line) - bottom(box)];
    const whole = Math.abs(above) <= EDGE && Math.abs(below) <= EDGE;
    if (whole) return node.kind === 'box' && content ? 'stretch' : null;
    if (Math.abs(above - below) <= MIDDLE * 1.2) return 'middle';
    if (Math.abs(above) <= EDGE) return 'start';
    return Math.abs(below) <= EDGE ? 'end' : null;
  });
  return commonAlign(found);
}

function commonAlign(found: readonly (Align | null)[]): Align {
  const order = ['middle', 'stretch', 'start', 'end'] as const;
  const votes = (align: Align) => found.filter((each) => each === align).length;
  const others = votes('middle') + votes('start') + votes('end');
  // What fills the line fits every other way of standing in it.
  if (others === 0) return votes('stretch') > 0 ? 'stretch' : 'middle';
  return order.filter((align) => align !== 'stretch').toSorted((one, other) => votes(other) - votes(one))[0]!;
}

interface Line {
  readonly align: Align;
  /** Where the browser puts the line: as high as its highest part. */
  readonly line: Box;
  readonly owns: readonly OwnAlign[];
}

/** How the parts of a row stand across it; from the top with margins when nothing simpler keeps the row's height. */
function alignLine(parts: readonly Part[], inside: Box): Line {
  const align = crossAlign(parts, inside);
  const owns = parts.map(({ box }) => ownAlign(box, inside, align));
  const height = Math.max(...parts.map(({ box }, at) => box.height + owns[at]!.top));
  const short = inside.height - height;
  if (short <= SHORT) {
    const above = align === 'middle' ? short / 2 : align === 'end' ? short : 0;
    return { align, line: { ...inside, y: inside.y + above, height }, owns };
  }
  const tops = parts.map(({ box }): OwnAlign => ({ align: null, top: extra(box.y - inside.y) }));
  return { align: 'start', line: inside, owns: tops };
}

/** Px that a row may be lower than what its parts span before they are placed by margins. */
const SHORT = 1.5;

interface OwnAlign {
  readonly align: Align | null;
  readonly top: number;
}

/** Where a part stands otherwise than its row. */
function ownAlign(
  box: Box,
  line: Box,
  common: Align,
): { readonly align: Align | null; readonly top: number } {
  const [above, below] = [box.y - line.y, bottom(line) - bottom(box)];
  const whole = Math.abs(above) <= EDGE && Math.abs(below) <= EDGE;
  if (whole) return { align: null, top: 0 };
  const fits: Readonly<Record<Align, boolean>> = {
    stretch: false,
    middle: Math.abs(above - below) <= MIDDLE * 1.2,
    start: Math.abs(above) <= EDGE,
    end: Math.abs(below) <= EDGE,
  };
  if (fits[common]) return { align: null, top: 0 };
  const other = (['start', 'middle', 'end'] as const).find((align) => fits[align]);
  return other ? { align: other, top: 0 } : { align: 'start', top: extra(above) };
}

/** How texts break: freely where that gives the drawn lines, never where the room is already too small. */
function textsIn(
  children: readonly PageNode[],
  parts: readonly Part[],
  room: (part: Part) => number,
  narrowed: Wide,
  common: Align,
): readonly PageNode[] {
  return children.map((child, at): PageNode => {
    if (child.kind !== 'text' || child.place.kind !== 'flow') return child;
    const available = room(parts[at]!);
    return breakText(child, child.place, available, narrowed, common);
  });
}

function breakText(
  node: TextNode,
  place: FlowPlace,
  available: number,
  narrowed: Wide,
  common: Align,
): PageNode {
  if (node.lines.length === 1) {
    const seen = place.width * (place.turn?.[0] ?? 1);
    if (!place.turn) return { ...node, wraps: seen > available + 1 ? 'never' : 'freely' };
    // Stretched letters break where they have no more room as they are drawn.
    if (seen + 1 > available) return { ...node, wraps: 'never' };
    if (narrowed === 'set') return { ...node, wraps: 'freely' };
    const starts = ['start', 'stretch'].includes(place.align ?? common);
    return starts && place.margin.left === 0
      ? {
          ...node,
          wraps: 'freely',
          place: { ...place, wide: 'whole', margin: { ...place.margin, right: 0 } },
        }
      : { ...node, wraps: 'never' };
  }
  const width = freeWidth(node, available);
  if (width === null) return { ...node, wraps: 'as-drawn' };
  const isWhole = width >= available - 0.01;
  return { ...node, wraps: 'freely', place: isWhole ? place : { ...place, width, wide: narrowed } };
}

/** How the page's own column stands: as wide as the window. */
export const WHOLE: Stand = { ...PLAIN, given: true };
