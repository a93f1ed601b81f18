import svgpath from 'svgpath';
import { boxOf, type Box } from '../mockup/box';
import type { Point } from '../mockup/matrix';
import { NO_RADII, type Radii, type Radius } from '../mockup/outline';

/** The plain form that a path draws. */
export type PathForm =
  | { readonly kind: 'box'; readonly box: Box; readonly radii: Radii }
  /** The even space between two boxes, one inside the other: a border of that width. */
  | { readonly kind: 'ring'; readonly box: Box; readonly radii: Radii; readonly width: number }
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point };

/** Longer paths are drawings. */
const MOST_SEGMENTS = 40;
const SAMPLES = 4;

interface Subpath {
  readonly points: readonly Point[];
  readonly closed: boolean;
  readonly straight: boolean;
  /** Twice the enclosed area, positive clockwise on screen. */
  readonly turn: number;
  readonly length: number;
}

/**
 * The box, rounded box, circle, ring or straight line that a path draws, whatever commands it is written with;
 * null for a free shape. A path counts as a box when every point of it lies on the box's outline and it runs around once.
 * @param stroked an outline that is drawn must be closed
 */
export function pathForm(d: string, rule: 'nonzero' | 'evenodd', stroked: boolean): PathForm | null {
  const subpaths = readSubpaths(d);
  if (!subpaths || subpaths.length === 0 || subpaths.length > 2) return null;
  const [first, second] = subpaths;
  if (!first) return null;
  if (!second) return soleForm(first, stroked);
  const [outer, inner] = Math.abs(first.turn) >= Math.abs(second.turn) ? [first, second] : [second, first];
  const hollow = rule === 'evenodd' || Math.sign(outer.turn) !== Math.sign(inner.turn);
  return hollow && !stroked ? ringForm(roundedBox(outer), roundedBox(inner)) : null;
}

function soleForm(path: Subpath, stroked: boolean): PathForm | null {
  const [from, ...others] = path.points;
  const to = others.at(-1);
  if (from && to && path.straight && !path.closed && others.length === SAMPLES)
    return { kind: 'line', from, to };
  if (stroked && !path.closed) return null;
  return roundedBox(path) ?? (stroked ? null : mitredSide(path));
}

/**
 * A bar is a mitred border side when it is at least this long for its thickness, fills this share of its box,
 * and is at most this thick (px).
 */
const BAR_RATIO = 16;
const BAR_FULLNESS = 0.96;
const BAR_THICKEST = 4;

/** One side of a border drawn as a trapezoid, as a bar without its mitres. */
function mitredSide({ points, straight, turn }: Subpath): PathForm | null {
  if (!straight || points.length > 4 * SAMPLES + 1) return null;
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  const box = boxOf(Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys));
  const [thin, long] = [Math.min(box.width, box.height), Math.max(box.width, box.height)];
  const isBar = thin <= BAR_THICKEST && long >= thin * BAR_RATIO;
  return isBar && Math.abs(turn) / 2 >= thin * long * BAR_FULLNESS
    ? { kind: 'box', box, radii: NO_RADII }
    : null;
}

/** The path's subpaths as points along them; null when it is too long to be a plain form. */
function readSubpaths(d: string): Subpath[] | null {
  if (d.length > 4000) return null;
  const path = svgpath(d).abs().unshort().unarc();
  const parts: { points: Point[]; closed: boolean; straight: boolean }[] = [];
  let count = 0;
  path.iterate((segment, _, x, y) => {
    count += 1;
    const command = segment[0];
    const numbers = segment.slice(1) as number[];
    let part = parts.at(-1);
    if (command === 'M') {
      parts.push({ points: [{ x: numbers[0] ?? 0, y: numbers[1] ?? 0 }], closed: false, straight: true });
      return;
    }
    if (!part) return;
    if (command === 'Z') {
      part.closed = true;
      return;
    }
    if (part.closed) {
      part = { points: [{ x, y }], closed: false, straight: true };
      parts.push(part);
    }
    const ends = pointsOf(command, numbers, { x, y });
    part.straight &&= command !== 'C' && command !== 'Q';
    part.points.push(...along([{ x, y }, ...ends]));
  });
  if (count > MOST_SEGMENTS) return null;
  return parts.filter(({ points }) => points.length > 1).map(finish);
}

function finish({
  points,
  closed,
  straight,
}: {
  points: Point[];
  closed: boolean;
  straight: boolean;
}): Subpath {
  const [first] = points;
  const last = points.at(-1);
  const meets =
    first !== undefined && last !== undefined && Math.hypot(first.x - last.x, first.y - last.y) < 1e-6;
  let turn = 0;
  let length = 0;
  points.forEach((point, at) => {
    const next = points[at + 1] ?? first ?? point;
    turn += point.x * next.y - next.x * point.y;
    length += Math.hypot(next.x - point.x, next.y - point.y);
  });
  return { points, closed: closed || meets, straight, turn, length };
}

/** The control points of a segment after its start; a line has its end only. */
function pointsOf(command: string | undefined, numbers: readonly number[], from: Point): Point[] {
  const pair = (at: number): Point => ({ x: numbers[at] ?? 0, y: numbers[at + 1] ?? 0 });
  switch (command) {
    case 'H':
      return [{ x: numbers[0] ?? 0, y: from.y }];
    case 'V':
      return [{ x: from.x, y: numbers[0] ?? 0 }];
    case 'C':
      return [pair(0), pair(2), pair(4)];
    case 'Q':
      return [pair(0), pair(2)];
    default:
      return [pair(0)];
  }
}

/** Points along a line or Bézier curve, without its start. */
function along(controls: readonly Point[]): Point[] {
  return Array.from({ length: SAMPLES }, (_, step) => {
    const t = (step + 1) / SAMPLES;
    let level = controls;
    while (level.length > 1) {
      level = level.slice(1).map((next, at) => {
        const last = level[at] ?? next;
        return { x: last.x + (next.x - last.x) * t, y: last.y + (next.y - last.y) * t };
      });
    }
    return level[0] ?? { x: 0, y: 0 };
  });
}

function roundedBox({ points, length }: Subpath): { kind: 'box'; box: Box; radii: Radii } | null {
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  const box = boxOf(Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys));
  const { x: left, y: top, width, height } = box;
  const [right, bottom] = [left + width, top + height];
  if (!(width > 0) || !(height > 0)) return null;
  // Drawing programs round to about a hundredth; a quarter circle of one curve is off by 0.03%.
  const near = Math.min(0.05, Math.min(width, height) * 0.004);
  const on = (value: number, edge: number) => Math.abs(value - edge) <= near;
  const span = (edge: readonly number[]): readonly [number, number] => [Math.min(...edge), Math.max(...edge)];
  const [topFrom, topTo] = span(points.filter(({ y }) => on(y, top)).map(({ x }) => x));
  const [bottomFrom, bottomTo] = span(points.filter(({ y }) => on(y, bottom)).map(({ x }) => x));
  const [leftFrom, leftTo] = span(points.filter(({ x }) => on(x, left)).map(({ y }) => y));
  const [rightFrom, rightTo] = span(points.filter(({ x }) => on(x, right)).map(({ y }) => y));
  const corner = (x: number, y: number): Radius => (x <= near || y <= near ? { x: 0, y: 0 } : { x, y });
  const radii: Radii = [
    corner(topFrom - left, leftFrom - top),
    corner(right - topTo, rightFrom - top),
    corner(right - bottomTo, bottom - rightTo),
    corner(bottomFrom - left, bottom - leftTo),
  ];
  const onOutline = (point: Point) => {
    const [fromLeft, fromTop] = [point.x - left, point.y - top];
    const [fromRight, fromBottom] = [right - point.x, bottom - point.y];
    const [tl, tr, br, bl] = radii;
    if (fromLeft < tl.x && fromTop < tl.y) return onArc(tl, tl.x - fromLeft, tl.y - fromTop, near);
    if (fromRight < tr.x && fromTop < tr.y) return onArc(tr, tr.x - fromRight, tr.y - fromTop, near);
    if (fromRight < br.x && fromBottom < br.y) return onArc(br, br.x - fromRight, br.y - fromBottom, near);
    if (fromLeft < bl.x && fromBottom < bl.y) return onArc(bl, bl.x - fromLeft, bl.y - fromBottom, near);
    return Math.min(fromLeft, fromTop, fromRight, fromBottom) <= near;
  };
  if (!points.every(onOutline)) return null;
  const around = perimeter(box, radii);
  return Math.abs(length - around) <= around * 0.02 ? { kind: 'box', box, radii: tidy(radii, box) } : null;
}

/** True when a point of a corner, seen from the corner's centre, lies on its quarter of an ellipse. */
function onArc(radius: Radius, x: number, y: number, near: number): boolean {
  const off = Math.abs(Math.hypot(x / radius.x, y / radius.y) - 1) * Math.min(radius.x, radius.y);
  return off <= near + Math.min(radius.x, radius.y) * 0.001;
}

/** Sides and quarter ellipses (Ramanujan's formula). */
function perimeter({ width, height }: Box, radii: Radii): number {
  return radii.reduce(
    (sum, { x, y }) => {
      const quarter = (Math.PI / 4) * (3 * (x + y) - Math.sqrt((3 * x + y) * (x + 3 * y)));
      return sum - x - y + quarter;
    },
    2 * (width + height),
  );
}

/** Corners that differ by rounding only are made alike, and none passes half the side. */
function tidy(radii: Radii, { width, height }: Box): Radii {
  const [first] = radii;
  const slack = 0.02 + Math.max(first.x, first.y) * 0.002;
  const alike = radii.every(({ x, y }) => Math.abs(x - first.x) <= slack && Math.abs(y - first.x) <= slack);
  if (first.x === 0 && alike) return NO_RADII;
  const even = radii.reduce((sum, { x, y }) => sum + x + y, 0) / 8;
  const clamp = ({ x, y }: Radius): Radius => ({ x: Math.min(x, width / 2), y: Math.min(y, height / 2) });
  return alike && even <= Math.min(width, height) / 2 + slack
    ? [
        clamp({ x: even, y: even }),
        clamp({ x: even, y: even }),
        clamp({ x: even, y: even }),
        clamp({ x: even, y: even }),
      ]
    : radii;
}

function ringForm(
  outer: ReturnType<typeof roundedBox>,
  inner: ReturnType<typeof roundedBox>,
): PathForm | null {
  if (!outer || !inner) return null;
  const [one, other] = [outer.box, inner.box];
  const sides = [
    other.x - one.x,
    other.y - one.y,
    one.x + one.width - other.x - other.width,
    one.y + one.height - other.y - other.height,
  ];
  const width = sides.reduce((sum, side) => sum + side, 0) / 4;
  const even = width > 0 && sides.every((side) => Math.abs(side - width) <= 0.02 + width * 0.01);
  const rounded = outer.radii.every(
    ({ x }, at) => Math.abs(Math.max(0, x - width) - (inner.radii[at]?.x ?? 0)) <= 0.05 + width * 0.05,
  );
  return even && rounded ? { kind: 'ring', box: one, radii: outer.radii, width } : null;
}
