import svgpath from 'svgpath';
import { boxOf, type Box } from '../mockup/box';

/** The rectangle that a path of straight lines draws, upright and closed; null for every other path. */
export function pathRectangle(d: string): Box | null {
  // Only short paths can be one, and most are not: spare them the parsing.
  if (d.length > 200 || /[acqst]/i.test(d)) return null;
  const points: [number, number][] = [];
  let closed = false;
  let usable = true;
  svgpath(d)
    .abs()
    .iterate((segment, index, x, y) => {
      const [command, one, two] = segment;
      if (command === 'Z' || command === 'z') closed = true;
      else if (command === 'M' && index > 0) usable = false;
      else if (command === 'H') points.push([Number(one), y]);
      else if (command === 'V') points.push([x, Number(one)]);
      else points.push([Number(one), Number(two)]);
    });
  const [first] = points;
  const last = points.at(-1);
  if (!usable || !first || !last) return null;
  if (points.length === 5 && first[0] === last[0] && first[1] === last[1]) points.pop();
  else if (!closed) return null;
  if (points.length !== 4) return null;
  const upright = points.every((point, at) => {
    const next = points[(at + 1) % 4];
    return next !== undefined && (point[0] === next[0]) !== (point[1] === next[1]);
  });
  if (!upright) return null;
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return boxOf(Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys));
}
