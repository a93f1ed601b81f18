import { BY_HAND, MEASURED, SNAPPED } from '../../tolerances';
import { right, type Box } from '../../../mockup/box';
import { isAvatar, type Part } from './parts';
import { centreTolerance } from './sizing';
import { canFitContent, hasNoLook, TOGETHER } from './widths';

/** The space beside the parts of a column, px. */
interface Sides {
  readonly left: number;
  readonly right: number;
}

/** Space at the right that is this many times the space at the left is free space. */
const FREE_RATIO = 3;
/** Common practice, no source: px beyond which nobody sets a padding at the sides. */
const MOST_SIDE = 96;
/** Common practice, no source: px that keep a page's body off the edges of a narrow window. */
const GUTTER = 16;

/** The horizontal padding of a column: the space beside its wide parts. Centred words need none. */
export function columnPadding(
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
  const isBroad = (each: Part) => spans(each.box, inside) && each.node.kind === 'box' && !canFitContent(each);
  const broad = parts.filter(isBroad);
  // Much more space at the right is free space when it exceeds the parts' width, or lies beside parts without
  // a look.
  const isFree =
    rest > left * FREE_RATIO && (rest > inside.width || (rest > TOGETHER && broad.every(isInvisible)));
  // Much space at the sides, or much more than above, is free space, not padding.
  const isWide = least > Math.min(MOST_SIDE, Math.max(top, below) * 2 + BY_HAND.centredWords);
  const isCentred = Math.abs(left - rest) <= centreTolerance(part) && left > 0;
  if (!isFree && broad.length > 0) {
    const isBody = isWide && isCentred && parts.length === 1 && least > TOGETHER;
    return isBody ? { left: GUTTER, right: GUTTER } : { left, right: rest };
  }
  if (isCentred) {
    const isFreeAround = isAvatar(part.node) || (isWide && !isPadded(parts, inside, inner));
    const both = isFreeAround ? 0 : least;
    return { left: both, right: both };
  }
  if (rest < left && rest >= 0 && parts.every(({ box }) => Math.abs(right(box) - right(inside)) <= SNAPPED))
    return { left: rest, right: rest };
  // Words at the end keep their distance to it.
  const ends = parts.every(({ node }) => node.kind === 'text' && node.look.type?.align === 'end');
  return { left: ends ? Math.min(left, rest) : left, right: ends ? rest : Math.min(Math.max(0, left), rest) };
}

/** True for a part without a look and without anything at an edge that would have to stay there. */
function isInvisible(part: Part): boolean {
  return hasNoLook(part) && part.below.length + part.above.length === 0;
}

/**
 * Common practice, no source: paddings are multiples of 4 px, up to 48; other distances follow from the
 * part's width.
 */
const PADDING_STEP = 4;
const PADDING_SLACK = 0.06;
const MOST_PADDING = 48;
/** Common practice, no source: a part of this share of its room is meant to fill it. */
const FILLING_SHARE = 0.5;

/**
 * True where parts fill the room except for even padding that someone chose: a visible part fills it, or not
 * all parts are centred.
 */
export function isPadded(parts: readonly Part[], inside: Box, room: Box): boolean {
  const [before, after] = [inside.x - room.x, right(room) - right(inside)];
  if (Math.abs(before - after) > PADDING_SLACK || before < PADDING_STEP || before > MOST_PADDING + SNAPPED)
    return false;
  const off = Math.abs(before - Math.round(before / PADDING_STEP) * PADDING_STEP);
  if (off > PADDING_SLACK || inside.width < FILLING_SHARE * room.width) return false;
  return parts.some(({ node, box }, at) => {
    const isShown = node.kind === 'box' && !hasNoLook(parts[at]!);
    const isAside = Math.abs(box.x - inside.x - (right(inside) - right(box))) > MEASURED.middle * 1.5;
    return isAside || (isShown && spans(box, inside));
  });
}

/** True for a box as wide as the room. */
export function spans(box: Box, room: Box): boolean {
  return Math.abs(box.x - room.x) <= SNAPPED && Math.abs(right(box) - right(room)) <= SNAPPED;
}
