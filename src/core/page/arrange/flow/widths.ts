import { boxAround, right } from '../../../mockup/box';
import { placedBox } from '../../placed';
import type { Wide } from '../../node';
import { innerBox, isAvatar, isText, type Content, type Part } from './parts';
import { hasWords } from './things';

/** Px by which two paddings may differ and still be meant as the same. */
const EVEN = 1.5;

/** True when the part is as wide as in the mockup without being told so: its content gives the width. */
export function isIntrinsic(part: Part): boolean {
  if (isText(part)) return part.node.lines.length === 1 || part.node.lines.every((line) => line.at === null);
  return part.content === null || isAvatar(part.node) || canHug(part);
}

/** True for a box whose padding is even and whose content gives the width inside of it. */
export function canHug(part: Part): boolean {
  const before = known.get(part);
  if (before !== undefined) return before;
  const found = findWhetherHugs(part);
  known.set(part, found);
  return found;
}

/** Every container around asks anew; what a part is does not change. */
const known = new WeakMap<Part, boolean>();

function findWhetherHugs(part: Part): boolean {
  const { node, content } = part;
  if (node.wish?.wide === 'hug') return true;
  if (node.kind !== 'box' || !content || node.role === 'field' || part.sized || node.wish?.wide) return false;
  if (isAvatar(node)) return false;
  if (!isEven(part, content) && !endsAbove(part, content)) return false;
  const inside = boxAround(content.parts.map((each) => each.box));
  if (content.direction === 'column') {
    const widest = content.parts.filter(({ box }) => Math.abs(box.width - inside.width) <= 1);
    return (
      widest.some(isIntrinsic) &&
      content.parts.every(isIntrinsic) &&
      content.parts.every(({ content: inside }) => !inside || !hasFreeSpace(inside))
    );
  }
  return content.parts.every(isIntrinsic) && !hasFreeSpace(content);
}

/** Common practice, no source: px between parts that belong together at most; more is free space. */
export const TOGETHER = 56;

/** True for a row whose parts stand at both ends: its width comes from around. */
function hasFreeSpace({ direction, parts }: Content): boolean {
  return (
    direction === 'row' && parts.slice(1).some(({ box }, at) => box.x - right(parts[at]!.box) > TOGETHER)
  );
}

function isEven(part: Part, content: Content): boolean {
  const inside = boxAround(content.parts.map((each) => each.box));
  const inner = paddingBox(part);
  const [before, after] = [inside.x - inner.x, right(inner) - right(inside)];
  // What lies over the borders would make the box wider by them.
  return Math.abs(before - after) <= EVEN && before + after >= -EVEN;
}

/** True where something that lies over an end, as a badge, takes up what the content leaves free there. */
function endsAbove(part: Part, content: Content): boolean {
  const inside = boxAround(content.parts.map((each) => each.box));
  const inner = paddingBox(part);
  const [before, after] = [inside.x - inner.x, right(inner) - right(inside)];
  if (Math.min(before, after) < -EVEN || Math.min(before, after) > EVEN) return false;
  return [...part.below, ...part.above].some((node) => {
    const box = placedBox(node.place);
    const [start, end] = [box.x - inner.x, right(inner) - right(box)];
    // What takes up the whole is a ground.
    if (Math.max(start, end) <= EVEN) return false;
    return after > before
      ? Math.abs(end) <= EVEN && box.x <= right(inside) + EVEN
      : Math.abs(start) <= EVEN && right(box) >= inside.x - EVEN;
  });
}

/**
 * True for a row that its parts fill, whatever they are: a set width would squeeze words that come out wider. Where there is
 * free space between them they get wider into that.
 */
export function isTight(part: Part): boolean {
  const { content } = part;
  if (content?.direction !== 'row' || part.node.role === 'field' || part.sized) return false;
  return isEven(part, content) && !hasFreeSpace(content);
}

/** The padding box of the part; the box around its content when it is not there for looks. */
export function paddingBox(part: Part) {
  const { node, box } = part;
  if (node.kind !== 'box' || node.made) return box;
  const inner = innerBox(node);
  // A part that was widened keeps its borders.
  return {
    ...inner,
    x: box.x + (inner.x - node.place.x),
    width: box.width - (node.place.width - inner.width),
  };
}

/** True for a container that shows nothing by itself: it may be as wide as there is room. */
export function isUnseen({ node }: Part): boolean {
  if (node.kind !== 'box') return false;
  const { fills, border, sides, shadows, clip } = node.look;
  return !fills && !border && !sides && !shadows && !clip && node.classes.length === 0;
}

/** The width of what does not grow. */
export function firmWide(part: Part): Wide {
  const said = part.node.wish?.wide;
  if (said !== undefined) return said;
  if (part.node.kind === 'picture' || isSmallDrawing(part) || isAvatar(part.node)) return 'firm';
  if (isText(part))
    return part.node.even ? 'set' : part.node.lines.some((line) => line.at !== null) ? 'firm' : 'hug';
  if (!part.content) return 'set';
  return canHug(part) || isTight(part) ? 'hug' : 'set';
}

/** Common practice, no source: icons, avatars and dots keep their size, px. */
const SMALL = 96;

function isSmallDrawing(part: Part): boolean {
  const { node, box } = part;
  return node.kind === 'box' && box.width <= SMALL && box.height <= SMALL && !hasText(part);
}

function hasText({ node, content, below, above }: Part): boolean {
  return (
    node.kind === 'text' ||
    below.some(hasWords) ||
    above.some(hasWords) ||
    (content?.parts.some(hasText) ?? false)
  );
}
