import svgpath from 'svgpath';
import { boxOf, type Box } from './box';
import { memoizeText } from './memoize';

/** The exact box around a path's geometry, curves by their extrema; null for a path that draws nothing finite. */
export const pathBox = memoizeText(measurePath);

function measurePath(d: string): Box | null {
  const xs = new Extent();
  const ys = new Extent();
  svgpath(d)
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      const numbers = segment.slice(1) as number[];
      switch (segment[0]) {
        case 'H':
          xs.add(numbers[0]);
          break;
        case 'V':
          ys.add(numbers[0]);
          break;
        case 'C':
        case 'Q':
        case 'L':
        case 'M':
          xs.addCurve([x, ...numbers.filter((_value, at) => at % 2 === 0)], segment[0] === 'M');
          ys.addCurve([y, ...numbers.filter((_value, at) => at % 2 === 1)], segment[0] === 'M');
          break;
      }
    });
  const finite = Number.isFinite(xs.least + xs.most + ys.least + ys.most);
  return finite ? boxOf(xs.least, ys.least, xs.most, ys.most) : null;
}

/** The minimum and maximum on one axis. */
class Extent {
  least = Infinity;
  most = -Infinity;

  add(value: number | undefined): void {
    if (value === undefined) return;
    if (value < this.least) this.least = value;
    if (value > this.most) this.most = value;
  }

  /** Includes a line or Bézier curve by its control values; of a move only the end counts. */
  addCurve(points: readonly number[], isMove: boolean): void {
    this.add(points.at(-1));
    if (isMove) return;
    this.add(points[0]);
    for (const t of turningPoints(points)) this.add(bezier(points, t));
  }
}

/**
 * The parameters at which a Bézier curve of degree 2 or 3 turns on an axis: the zeros of its derivative
 * inside 0–1.
 */
function turningPoints([a = 0, b = 0, c, d]: readonly number[]): number[] {
  if (c === undefined) return [];
  const zeros =
    d === undefined
      ? [(a - b) / (a - 2 * b + c)]
      : quadraticZeros(d - a + 3 * (b - c), 2 * (a - 2 * b + c), b - a);
  return zeros.filter((t) => t > 0 && t < 1);
}

/** The solutions of at² + bt + c = 0, in the form that keeps precision when a is small. */
function quadraticZeros(a: number, b: number, c: number): number[] {
  if (Math.abs(a) < 1e-12) return b === 0 ? [] : [-c / b];
  const root = Math.sqrt(b * b - 4 * a * c);
  if (Number.isNaN(root)) return [];
  const q = -(b + (b < 0 ? -root : root)) / 2;
  return q === 0 ? [0] : [q / a, c / q];
}

/** The value at `t` by de Casteljau's algorithm. */
function bezier(points: readonly number[], t: number): number {
  let level = [...points];
  while (level.length > 1) level = level.slice(1).map((next, at) => (level[at] ?? 0) * (1 - t) + next * t);
  return level[0] ?? 0;
}
