import type { Edges } from '../../mockup/box';
import type { Point } from '../../mockup/matrix';
import { formatNumber, px, pxDown } from '../../markup/numbers';
import type { Declaration } from '../../markup/printCss';
import type { Align, Between, High, Hold, Layout, Place, Standing, Track, Turn } from '../../page/node';

/** The place of a node at its coordinates. */
export function placeDeclarations(place: Place): Declaration[] {
  const declarations: Declaration[] = [
    ['left', px(place.x)],
    ['top', px(place.y)],
  ];
  if (!place.hugs) declarations.push(['width', px(place.width)], ['height', px(place.height)]);
  return [...declarations, ...transformDeclarations(place)];
}

/** What is done to a node where it stands: a turn, or what brings a box between px. */
function transformDeclarations({
  turn,
  shift,
  between,
}: Pick<Place, 'turn' | 'shift' | 'between'>): Declaration[] {
  if (turn) return turnDeclarations(turn, shift);
  return between ? printTransform(between.move, [between.scale.x, 0, 0, between.scale.y]) : [];
}

/** @param shift px to the right */
export function turnDeclarations(turn: Turn, shift = 0): Declaration[] {
  return printTransform({ x: shift, y: 0 }, turn);
}

function printTransform(move: Point, turn: Turn): Declaration[] {
  const [a, b, c, d] = turn.map((value) => formatNumber(value, 5));
  const turned = b === '0' && c === '0' ? printScale(a!, d!) : `matrix(${a}, ${b}, ${c}, ${d}, 0, 0)`;
  const functions = [printMove(move), turned].filter((each) => each !== '');
  if (functions.length === 0) return [];
  const origin: Declaration = ['transform-origin', '0 0'];
  return [['transform', functions.join(' ')], ...(turned === '' ? [] : [origin])];
}

function printMove({ x, y }: Point): string {
  const [across, down] = [px(x), px(y)];
  if (down === '0') return across === '0' ? '' : `translateX(${across})`;
  return across === '0' ? `translateY(${down})` : `translate(${across}, ${down})`;
}

function printScale(x: string, y: string): string {
  if (x === y) return x === '1' ? '' : `scale(${x})`;
  if (y === '1') return `scaleX(${x})`;
  return x === '1' ? `scaleY(${y})` : `scale(${x}, ${y})`;
}

/** How a node stands in a box that may grow (CSS Flexbox 1, §7 and §8; CSS Grid 2, §10). */
export function standingDeclarations(standing: Standing): Declaration[] {
  if (standing.kind === 'fixed') return heldDeclarations(standing);
  const { wide, high, align, margin, width, height, turn } = standing;
  const wides: Readonly<Record<typeof wide, Declaration[]>> = {
    hug: [],
    set: [['width', px(width)]],
    firm:
      width === 0
        ? []
        : [
            ['width', px(width)],
            ['flex', 'none'],
          ],
    fill: [
      ['flex', '1'],
      ['min-width', '0'],
    ],
    whole: turn
      ? [['width', stretchedWidth(turn[0], (margin.left ?? 0) + (margin.right ?? 0))]]
      : [['width', '100%'], ...(high === 'set' ? [] : [['height', 'auto'] as const])],
    capped: [
      ['width', '100%'],
      ['max-width', px(width)],
    ],
  };
  const list: (Declaration | null)[] = [
    ...wides[wide],
    high === 'set' ? ['height', pxDown(height)] : high === 'least' ? ['min-height', pxDown(height)] : null,
    align ? ['align-self', ALIGNS[align]] : null,
    margin.top === 0 ? null : ['margin-top', pxDown(margin.top)],
    margin.left === 0 ? null : ['margin-left', margin.left === null ? 'auto' : px(margin.left)],
    margin.right === 0 ? null : ['margin-right', margin.right === null ? 'auto' : px(margin.right)],
    margin.bottom === 0 ? null : ['margin-bottom', pxDown(margin.bottom)],
    ...(standing.between ? backDeclarations(standing.between) : []),
    ...transformDeclarations(standing),
  ];
  return list.filter((entry) => entry !== null);
}

/** The width of letters that, stretched, fill the box around them but for their margins. */
function stretchedWidth(stretch: number, margins: number): string {
  const whole = `${formatNumber(100 / stretch)}%`;
  const rest = px(Math.abs(margins) / stretch);
  return rest === '0' ? whole : `calc(${whole} ${margins > 0 ? '-' : '+'} ${rest})`;
}

/** What the layout puts between px goes back to whole px: from there on it is moved alike in every browser. */
function backDeclarations({ move }: Between): Declaration[] {
  const declarations: Declaration[] = [
    ['left', px(-move.x)],
    ['top', px(-move.y)],
  ];
  return declarations.filter(([, length]) => length !== '0');
}

const ALIGNS: Readonly<Record<Align, string>> = {
  start: 'flex-start',
  middle: 'center',
  end: 'flex-end',
  stretch: 'stretch',
  baseline: 'baseline',
};

function heldDeclarations(place: Extract<Standing, { kind: 'fixed' }>): Declaration[] {
  const { holds, x, y, width, height } = place;
  return [
    ['position', 'absolute'],
    ...along(holds.x, ['left', 'right', holds.wide === 'set' ? 'width' : null], x, holds.right, width),
    ...(holds.wide === 'capped' ? [['max-width', px(width)] as const] : []),
    ...along(holds.y, ['top', 'bottom', HEIGHTS[holds.high]], y, holds.bottom, height),
    ...transformDeclarations(place),
  ];
}

const HEIGHTS: Readonly<Record<High, string | null>> = { hug: null, set: 'height', least: 'min-height' };

/** @param names of the start, the end and the length; null for a length that the content gives */
function along(
  hold: Hold,
  [start, end, size]: readonly [string, string, string | null],
  before: number,
  after: number,
  length: number,
): Declaration[] {
  const sized = (value: string): Declaration[] => (size === null ? [] : [[size, value]]);
  switch (hold) {
    case 'start':
      return [[start, px(before)], ...sized(px(length))];
    case 'end':
      return [[end, px(after)], ...sized(px(length))];
    case 'middle':
      // About the middle: where half of it is a part of a px, it is drawn to one side.
      return size === null
        ? MIDST
        : [[start, `calc(50% - ${px((length + after - before) / 2)})`], ...sized(px(length))];
    case 'both': {
      const rest = before + after;
      const less = px(Math.abs(rest));
      const whole = less === '0' ? '100%' : `calc(100% ${rest > 0 ? '-' : '+'} ${less})`;
      return [[start, px(before)], ...sized(whole)];
    }
  }
}

/** In the middle, as wide as the content: what is auto on both sides is shared out (CSS 2.2, §10.3.7). */
const MIDST: Declaration[] = [
  ['left', '0'],
  ['right', '0'],
  ['width', 'fit-content'],
  ['margin-left', 'auto'],
  ['margin-right', 'auto'],
];

/**
 * How a box lays out what is inside of it.
 * @param rightToLeft true where its letters run so: lines begin at its right then (CSS Flexbox 1, §2)
 */
export function layoutDeclarations(layout: Layout, rightToLeft = false): Declaration[] {
  const { direction, tracks, gap, rowGap, padding, align, justify } = rightToLeft
    ? turnedBack(layout)
    : layout;
  const list: (Declaration | null)[] = [
    direction === 'words' ? null : ['display', direction === 'grid' ? 'grid' : 'flex'],
    direction === 'column' ? ['flex-direction', 'column'] : null,
    direction === 'grid' ? ['grid-template-columns', printTracks(tracks)] : null,
    justify === 'start'
      ? null
      : ['justify-content', justify === 'between' ? 'space-between' : ALIGNS[justify]],
    align === 'stretch' ? null : ['align-items', ALIGNS[align]],
    gap === 0 && rowGap === 0 ? null : ['gap', printGap(direction, gap, rowGap)],
    isZero(padding) ? null : ['padding', printEdges(padding)],
  ];
  return list.filter((entry) => entry !== null);
}

/** The layout of which start and end across the page have changed places. */
function turnedBack(layout: Layout): Layout {
  const { direction, align, justify } = layout;
  if (direction === 'words') return layout;
  if (direction === 'column') return { ...layout, align: OPPOSITE[align] };
  return { ...layout, justify: justify === 'between' ? justify : OPPOSITE[justify] };
}

const OPPOSITE = {
  start: 'end',
  end: 'start',
  middle: 'middle',
  stretch: 'stretch',
  baseline: 'baseline',
} as const;

function printTracks(tracks: readonly Track[]): string {
  const printed: { track: string; count: number }[] = [];
  for (const track of tracks.map(printTrack)) {
    const last = printed.at(-1);
    if (last?.track === track) last.count += 1;
    else printed.push({ track, count: 1 });
  }
  return printed.map(({ track, count }) => (count > 1 ? `repeat(${count}, ${track})` : track)).join(' ');
}

function printTrack(track: Track): string {
  switch (track.kind) {
    case 'share':
      return 'minmax(0, 1fr)';
    case 'hug':
      return 'auto';
    case 'px':
      return `minmax(min-content, ${px(track.width)})`;
  }
}

function isZero({ top, right, bottom, left }: Edges): boolean {
  return top === 0 && right === 0 && bottom === 0 && left === 0;
}

function printGap(direction: Layout['direction'], gap: number, rowGap: number): string {
  if (direction === 'column') return pxDown(gap);
  return gap === rowGap ? px(gap) : `${pxDown(rowGap)} ${px(gap)}`;
}

/** Px of the four sides as a padding says them, vertically on the whole px that browsers keep. */
export function printEdges(edges: Edges): string {
  const [top, bottom] = [pxDown(edges.top), pxDown(edges.bottom)];
  // What is as wide all around is written once.
  const across = (length: number) =>
    length === edges.top ? top : length === edges.bottom ? bottom : px(length);
  const [left, right] = [across(edges.left), across(edges.right)];
  if (left !== right) return `${top} ${right} ${bottom} ${left}`;
  if (top !== bottom) return `${top} ${right} ${bottom}`;
  return top === right ? top : `${top} ${right}`;
}
