import { right, type Box } from '../../../mockup/box';
import { isAvatar, type Part } from './parts';
import { EDGE, MIDDLE, middleOf } from './stand';
import { canHug, isUnseen, TOGETHER } from './widths';

/** What a column leaves free beside its parts, px. */
interface Sides {
  readonly left: number;
  readonly right: number;
}

/** How many times more room there is at the right than at the left of things that stand at the left. */
const FAR = 3;
/** Px beside centred words that count as padding whatever is above them. */
const FREE = 8;
/** Common practice, no source: px that keep a page's body off the edges of a window that is narrower than it. */
const GUTTER = 16;

/** Padding at the sides of a column: what its wide parts leave free; centred words need none. */
export function columnSides(
  part: Part,
  parts: readonly Part[],
  inner: Box,
  inside: Box,
  { top, bottom: below }: { readonly top: number; readonly bottom: number },
  given: boolean,
): Sides {
  const left = inside.x - inner.x;
  const rest = right(inner) - right(inside);
  if (!given) return { left, right: rest };
  const least = Math.min(left, rest);
  const isBroad = (each: Part) => spans(each.box, inside) && each.node.kind === 'box' && !canHug(each);
  const broad = parts.filter(isBroad);
  // Far more room at the right is free: more than there are things, or beside what shows nothing by itself.
  const isFree = rest > left * FAR && (rest > inside.width || (rest > TOGETHER && broad.every(isInvisible)));
  // Far more room at the sides than above is free space, not padding.
  const isWide = least > Math.max(top, below) * 2 + FREE;
  const isCentred = Math.abs(left - rest) <= middleOf(part) && left > 0;
  if (!isFree && broad.length > 0) {
    const isBody = isWide && isCentred && parts.length === 1 && least > TOGETHER;
    return isBody ? { left: GUTTER, right: GUTTER } : { left, right: rest };
  }
  if (isCentred) {
    const isFreeAround = isAvatar(part.node) || (isWide && !isPadded(parts, inside, inner));
    const both = isFreeAround ? 0 : least;
    return { left: both, right: both };
  }
  if (rest < left && rest >= 0 && parts.every(({ box }) => Math.abs(right(box) - right(inside)) <= EDGE))
    return { left: rest, right: rest };
  return { left, right: Math.min(Math.max(0, left), rest) };
}

/** True for what shows nothing by itself, and has nothing at an edge that would have to stay there. */
function isInvisible(part: Part): boolean {
  return isUnseen(part) && part.below.length + part.above.length === 0;
}

/** Common practice, no source: padding is a multiple of 4 px, up to 48; what else is beside a thing comes from its width. */
const PADDING_STEP = 4;
const PADDING_SLACK = 0.06;
const MOST_PADDING = 48;
/** Common practice, no source: what takes up so much of its room is made to fill it. */
const FILLING = 0.5;

/**
 * True where things take up the room but for even padding that someone chose: something that shows fills it, or they do not
 * all stand in its middle.
 */
export function isPadded(parts: readonly Part[], inside: Box, room: Box): boolean {
  const [before, after] = [inside.x - room.x, right(room) - right(inside)];
  if (Math.abs(before - after) > PADDING_SLACK || before < PADDING_STEP || before > MOST_PADDING + EDGE)
    return false;
  const off = Math.abs(before - Math.round(before / PADDING_STEP) * PADDING_STEP);
  if (off > PADDING_SLACK || inside.width < FILLING * room.width) return false;
  return parts.some(({ node, box }, at) => {
    const isShown = node.kind === 'box' && !isUnseen(parts[at]!);
    const isAside = Math.abs(box.x - inside.x - (right(inside) - right(box))) > MIDDLE * 1.5;
    return isAside || (isShown && spans(box, inside));
  });
}

/** True for a box that takes up all of the room across. */
export function spans(box: Box, room: Box): boolean {
  return Math.abs(box.x - room.x) <= EDGE && Math.abs(right(box) - right(room)) <= EDGE;
}
