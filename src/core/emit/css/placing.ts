import type { Edges } from '../../mockup/box';
import type { Point } from '../../mockup/matrix';
import { formatNumber, px, verticalPx } from '../../markup/numbers';
import type { Declaration } from '../../markup/printCss';
import type { Align, SnapCompensation, HeightMode, Pin, Place, LinearTransform } from '../../page/place';
import type { Layout, Track } from '../../page/layout';
import type { SharedPlacement } from '../../page/sharedPlacement';

/** The declarations of fixed coordinates. */
export function placeDeclarations(place: Place): Declaration[] {
  const declarations: Declaration[] = [
    ['left', px(place.x)],
    ['top', px(place.y)],
  ];
  if (!place.fitsContent) declarations.push(['width', px(place.width)], ['height', px(place.height)]);
  return [...declarations, ...transformDeclarations(place)];
}

/** The transform of a node, or its snap compensation. */
function transformDeclarations({
  linear,
  subpixelShift,
  snapCompensation,
}: Pick<Place, 'linear' | 'subpixelShift' | 'snapCompensation'>): Declaration[] {
  if (linear) return transformDeclarationsOf(linear, subpixelShift);
  return snapCompensation
    ? printTransform(snapCompensation.move, [snapCompensation.scale.x, 0, 0, snapCompensation.scale.y])
    : [];
}

/** @param shift px to the right */
export function transformDeclarationsOf(turn: LinearTransform, shift = 0): Declaration[] {
  return printTransform({ x: shift, y: 0 }, turn);
}

function printTransform(move: Point, turn: LinearTransform): Declaration[] {
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

/** The placement of a node in a parent that may grow (CSS Flexbox 1, §7 and §8; CSS Grid 2, §10). */
export function placementDeclarations(standing: SharedPlacement): Declaration[] {
  if (standing.kind === 'fixed') return pinnedDeclarations(standing);
  const { widthMode, heightMode, align, margin, width, height, linear } = standing;
  const wides: Readonly<Record<typeof widthMode, Declaration[]>> = {
    fit: [],
    drawn: [['width', px(width)]],
    rigid:
      width === 0
        ? []
        : [
            ['width', px(width)],
            ['flex', 'none'],
          ],
    rest: [
      ['flex', '1'],
      ['min-width', '0'],
    ],
    full: linear
      ? [['width', stretchedWidth(linear[0], (margin.left ?? 0) + (margin.right ?? 0))]]
      : [['width', '100%'], ...(heightMode === 'drawn' ? [] : [['height', 'auto'] as const])],
    max: [
      ['width', '100%'],
      ['max-width', px(width)],
    ],
    capped: [['max-width', px(width)]],
  };
  const list: (Declaration | null)[] = [
    ...wides[widthMode],
    heightMode === 'drawn'
      ? ['height', verticalPx(height)]
      : heightMode === 'min'
        ? ['min-height', verticalPx(height)]
        : null,
    align ? ['align-self', ALIGNS[align]] : null,
    margin.top === 0 ? null : ['margin-top', verticalPx(margin.top)],
    margin.left === 0 ? null : ['margin-left', margin.left === null ? 'auto' : px(margin.left)],
    margin.right === 0 ? null : ['margin-right', margin.right === null ? 'auto' : px(margin.right)],
    margin.bottom === 0 ? null : ['margin-bottom', verticalPx(margin.bottom)],
    ...(standing.snapCompensation ? unsnapDeclarations(standing.snapCompensation) : []),
    ...transformDeclarations(standing),
  ];
  return list.filter((entry) => entry !== null);
}

/** The width at which stretched letters fill their container without the margins. */
function stretchedWidth(stretch: number, margins: number): string {
  const whole = `${formatNumber(100 / stretch)}%`;
  const rest = px(Math.abs(margins) / stretch);
  return rest === '0' ? whole : `calc(${whole} ${margins > 0 ? '-' : '+'} ${rest})`;
}

/**
 * Moves a node that the layout puts between px back to a whole px; the transform from there is the same in
 * every browser.
 */
function unsnapDeclarations({ move }: SnapCompensation): Declaration[] {
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

function pinnedDeclarations(place: Extract<SharedPlacement, { kind: 'fixed' }>): Declaration[] {
  const { pins, x, y, width, height } = place;
  return [
    ['position', 'absolute'],
    ...along(pins.x, ['left', 'right', pins.widthMode === 'drawn' ? 'width' : null], x, pins.right, width),
    ...(pins.widthMode === 'max' ? [['max-width', px(width)] as const] : []),
    ...along(pins.y, ['top', 'bottom', HEIGHTS[pins.heightMode]], y, pins.bottom, height),
    ...transformDeclarations(place),
  ];
}

const HEIGHTS: Readonly<Record<HeightMode, string | null>> = {
  fit: null,
  drawn: 'height',
  min: 'min-height',
};

/** @param names of the start, the end and the length; null for a length from the content */
function along(
  hold: Pin,
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
      // Centred: half of an odd length is a fraction of a px and would be drawn to one side.
      return size === null
        ? CENTRED
        : [[start, `calc(50% - ${px((length + after - before) / 2)})`], ...sized(px(length))];
    case 'both': {
      const rest = before + after;
      const less = px(Math.abs(rest));
      const whole = less === '0' ? '100%' : `calc(100% ${rest > 0 ? '-' : '+'} ${less})`;
      return [[start, px(before)], ...sized(whole)];
    }
  }
}

/** Centred with the width of the content: auto margins share the free space (CSS 2.2, §10.3.7). */
const CENTRED: Declaration[] = [
  ['left', '0'],
  ['right', '0'],
  ['width', 'fit-content'],
  ['margin-left', 'auto'],
  ['margin-right', 'auto'],
];

/**
 * The layout of a box's children.
 * @param rightToLeft true for right-to-left text: lines start at the right (CSS Flexbox 1, §2)
 */
export function layoutDeclarations(layout: Layout, rightToLeft = false): Declaration[] {
  const { direction, tracks, gap, rowGap, padding, align, justify } = rightToLeft ? mirrored(layout) : layout;
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

/** The layout with start and end of the inline axis swapped. */
function mirrored(layout: Layout): Layout {
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
    case 'fit':
      return 'auto';
    case 'px':
      return `minmax(min-content, ${px(track.width)})`;
  }
}

function isZero({ top, right, bottom, left }: Edges): boolean {
  return top === 0 && right === 0 && bottom === 0 && left === 0;
}

function printGap(direction: Layout['direction'], gap: number, rowGap: number): string {
  if (direction === 'column') return verticalPx(gap);
  return gap === rowGap ? px(gap) : `${verticalPx(rowGap)} ${px(gap)}`;
}

/** Padding of the four sides, vertically on the layout units of browsers. */
export function printEdges(edges: Edges): string {
  const [top, bottom] = [verticalPx(edges.top), verticalPx(edges.bottom)];
  // Equal sides are written once.
  const across = (length: number) =>
    length === edges.top ? top : length === edges.bottom ? bottom : px(length);
  const [left, right] = [across(edges.left), across(edges.right)];
  if (left !== right) return `${top} ${right} ${bottom} ${left}`;
  if (top !== bottom) return `${top} ${right} ${bottom}`;
  return top === right ? top : `${top} ${right}`;
}
