import type { Edges } from '../../mockup/box';
import { formatNumber, px } from '../../markup/numbers';
import type { Declaration } from '../../markup/printCss';
import type { Align, Hold, Layout, Place, Standing, Track, Turn } from '../../page/node';

/** The place of a node at its coordinates. */
export function placeDeclarations(place: Place): Declaration[] {
  const declarations: Declaration[] = [
    ['left', px(place.x)],
    ['top', px(place.y)],
  ];
  if (!place.hugs) declarations.push(['width', px(place.width)], ['height', px(place.height)]);
  if (place.turn) declarations.push(...turnDeclarations(place.turn, place.shift));
  return declarations;
}

/**
 * Browsers move the edges of boxes to whole px, where SVG draws an edge between two px as it is. A box of
 * whole size keeps its fuzzy edges when it is moved there by a transform.
 */
export function bareBoxDeclarations(place: Place): Declaration[] {
  const rest = restOf(place);
  if (!rest) return placeDeclarations(place);
  return [...placeDeclarations({ ...place, x: Math.floor(place.x), y: Math.floor(place.y) }), rest];
}

/** The part of a px by which a box of whole size is moved; null for one that stands at whole px or has none. */
function restOf({ x, y, width, height, turn }: Omit<Place, 'kind' | 'hugs'>): Declaration | null {
  const [left, top] = [x - Math.floor(x), y - Math.floor(y)];
  const whole = !isBetween(width % 1) && !isBetween(height % 1);
  if (!(isBetween(left) || isBetween(top)) || !whole || turn) return null;
  return ['translate', `${px(left)} ${px(top)}`];
}

function isBetween(fraction: number): boolean {
  return fraction > 0.01 && fraction < 0.99;
}

export function turnDeclarations(turn: Turn, shift = 0): Declaration[] {
  const [a, b, c, d] = turn.map((value) => formatNumber(value, 5));
  const widened = b === '0' && c === '0' && d === '1';
  const moved = px(shift) === '0' ? '' : `translateX(${px(shift)}) `;
  return [
    ['transform', widened ? `${moved}scaleX(${a})` : `matrix(${a}, ${b}, ${c}, ${d}, 0, 0)`],
    ['transform-origin', '0 0'],
  ];
}

/** How a node stands in a box that may grow (CSS Flexbox 1, §7 and §8; CSS Grid 2, §10). */
export function standingDeclarations(standing: Standing): Declaration[] {
  if (standing.kind === 'fixed') return heldDeclarations(standing);
  const { wide, high, align, margin, width, height, turn, shift } = standing;
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
      ? [['width', `${formatNumber(100 / turn[0])}%`]]
      : [
          ['width', '100%'],
          ['height', 'auto'],
        ],
    capped: [
      ['width', '100%'],
      ['max-width', px(width)],
    ],
  };
  const list: (Declaration | null)[] = [
    ...wides[wide],
    high === 'set' ? ['height', px(height)] : high === 'least' ? ['min-height', px(height)] : null,
    align ? ['align-self', ALIGNS[align]] : null,
    margin.top === 0 ? null : ['margin-top', px(margin.top)],
    margin.left === 0 ? null : ['margin-left', margin.left === null ? 'auto' : px(margin.left)],
    margin.right === 0 ? null : ['margin-right', margin.right === null ? 'auto' : px(margin.right)],
    margin.bottom === 0 ? null : ['margin-bottom', px(margin.bottom)],
    ...(turn ? turnDeclarations(turn, shift) : []),
  ];
  return list.filter((entry) => entry !== null);
}

const ALIGNS: Readonly<Record<Align, string>> = {
  start: 'flex-start',
  middle: 'center',
  end: 'flex-end',
  stretch: 'stretch',
  baseline: 'baseline',
};

function heldDeclarations(place: Extract<Standing, { kind: 'fixed' }>): Declaration[] {
  const { holds, width, height, turn, shift } = place;
  const rest = place.bare ? restOf(place) : null;
  const [x, y] = rest ? [Math.floor(place.x), Math.floor(place.y)] : [place.x, place.y];
  return [
    ['position', 'absolute'],
    ...along(holds.x, ['left', 'right', 'width'], x, holds.right + place.x - x, width),
    ...along(holds.y, ['top', 'bottom', 'height'], y, holds.bottom + place.y - y, height),
    ...(rest ? [rest] : []),
    ...(turn ? turnDeclarations(turn, shift) : []),
  ];
}

function along(
  hold: Hold,
  [start, end, size]: readonly [string, string, string],
  before: number,
  after: number,
  length: number,
): Declaration[] {
  switch (hold) {
    case 'start':
      return [
        [start, px(before)],
        [size, px(length)],
      ];
    case 'end':
      return [
        [end, px(after)],
        [size, px(length)],
      ];
    case 'middle':
      return [
        [start, `calc(50% - ${px(length / 2)})`],
        [size, px(length)],
      ];
    case 'both': {
      const rest = before + after;
      return [
        [start, px(before)],
        [size, rest === 0 ? '100%' : `calc(100% ${rest > 0 ? '-' : '+'} ${px(Math.abs(rest))})`],
      ];
    }
  }
}

/** How a box lays out what is inside of it. */
export function layoutDeclarations({
  direction,
  tracks,
  gap,
  rowGap,
  padding,
  align,
  justify,
}: Layout): Declaration[] {
  const list: (Declaration | null)[] = [
    ['display', direction === 'grid' ? 'grid' : 'flex'],
    direction === 'column' ? ['flex-direction', 'column'] : null,
    direction === 'grid' ? ['grid-template-columns', printTracks(tracks)] : null,
    justify === 'start'
      ? null
      : ['justify-content', justify === 'between' ? 'space-between' : ALIGNS[justify]],
    align === 'stretch' ? null : ['align-items', ALIGNS[align]],
    gap === 0 && rowGap === 0 ? null : ['gap', gap === rowGap ? px(gap) : `${px(rowGap)} ${px(gap)}`],
    isZero(padding) ? null : ['padding', printEdges(padding)],
  ];
  return list.filter((entry) => entry !== null);
}

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

function printEdges(edges: Edges): string {
  const [top, right, bottom, left] = [px(edges.top), px(edges.right), px(edges.bottom), px(edges.left)];
  if (left !== right) return `${top} ${right} ${bottom} ${left}`;
  if (top !== bottom) return `${top} ${right} ${bottom}`;
  return top === right ? top : `${top} ${right}`;
}
