import { isFieldRole } from '../../../sort/vocabulary';
import { BY_HAND } from '../../tolerances';
import { paints } from '../../../look/look';
import { boxAround, right } from '../../../mockup/box';
import { memoizeByObject } from '../../../mockup/memoize';
import { isIconText } from '../../../type/iconText';
import { nodeWords, type TextNode } from '../../node';
import { placedBox } from '../../placed';
import type { WidthMode } from '../../place';
import { innerBox, isAvatar, isText, type Content, type Part } from './parts';
import { hasWords } from './nodePredicates';

/** True when the part gets its drawn width from its content. */
export function isIntrinsic(part: Part): boolean {
  if (isText(part)) return part.node.lines.length === 1 || part.node.lines.every((line) => line.at === null);
  return part.content === null || isAvatar(part.node) || canFitContent(part);
}

/** True for a box with even padding whose content gives its width. Every container around asks. */
export const canFitContent = memoizeByObject(findWhetherFits);

function findWhetherFits(part: Part): boolean {
  const { node, content } = part;
  if (node.layoutOverride?.width === 'fit') return true;
  if (node.kind !== 'box' || !content || isFieldRole(node.role) || part.sized || node.layoutOverride?.width)
    return false;
  if (isAvatar(node)) return false;
  if (!isEven(part, content) && !endsWithOverlay(part, content)) return false;
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

/** Common practice, no source: the largest gap between parts that belong together, px; more is free space. */
export const TOGETHER = 56;

/** True for a row with parts at both ends: its width comes from the container. */
function hasFreeSpace({ direction, parts }: Content): boolean {
  return (
    direction === 'row' && parts.slice(1).some(({ box }, at) => box.x - right(parts[at]!.box) > TOGETHER)
  );
}

function isEven(part: Part, content: Content): boolean {
  const inside = boxAround(content.parts.map((each) => each.box));
  const inner = paddingBox(part);
  const [before, after] = [inside.x - inner.x, right(inner) - right(inside)];
  // An overlap over the borders would widen the box.
  return Math.abs(before - after) <= BY_HAND.size && before + after >= -BY_HAND.size;
}

/** True where an overlay at an end, such as a badge, takes the space that the content leaves there. */
function endsWithOverlay(part: Part, content: Content): boolean {
  const inside = boxAround(content.parts.map((each) => each.box));
  const inner = paddingBox(part);
  const [before, after] = [inside.x - inner.x, right(inner) - right(inside)];
  if (Math.min(before, after) < -BY_HAND.size || Math.min(before, after) > BY_HAND.size) return false;
  return [...part.below, ...part.above].some((node) => {
    const box = placedBox(node.place);
    const [start, end] = [box.x - inner.x, right(inner) - right(box)];
    // An overlay over the whole box is a background.
    if (Math.max(start, end) <= BY_HAND.size) return false;
    return after > before
      ? Math.abs(end) <= BY_HAND.size && box.x <= right(inside) + BY_HAND.size
      : Math.abs(start) <= BY_HAND.size && right(box) >= inside.x - BY_HAND.size;
  });
}

/**
 * True for a row filled by its parts: a fixed width would squeeze words that come out wider. With free space
 * between them, the words grow into it.
 */
export function fillsRow(part: Part): boolean {
  const { content } = part;
  if (content?.direction !== 'row' || isFieldRole(part.node.role) || part.sized) return false;
  return isEven(part, content) && !hasFreeSpace(content);
}

/** The padding box of the part; for a box without a look, the box around its content. */
export function paddingBox(part: Part) {
  const { node, box } = part;
  if (node.kind !== 'box' || node.anonymous) return box;
  const inner = innerBox(node);
  // A widened part keeps its borders.
  return {
    ...inner,
    x: box.x + (inner.x - node.place.x),
    width: box.width - (node.place.width - inner.width),
  };
}

/** True for a container without a look: it may take all of the available width. */
export function hasNoLook({ node }: Part): boolean {
  return node.kind === 'box' && !paints(node.look) && node.classes.length === 0;
}

/** The width mode of a part that does not grow. */
export function rigidWidthMode(part: Part): WidthMode {
  const said = part.node.layoutOverride?.width;
  if (said !== undefined) return said;
  if (part.node.kind === 'picture' || isSmallDrawing(part) || isAvatar(part.node)) return 'rigid';
  if (isText(part)) return widthModeOfWords(part.node);
  if (!part.content) return 'drawn';
  return canFitContent(part) || fillsRow(part) ? 'fit' : 'drawn';
}

function widthModeOfWords(node: TextNode): WidthMode {
  // Icons have one size, whether their font is there or not.
  if (isIconText(nodeWords(node))) return 'rigid';
  if (node.hasRegularLines) return 'drawn';
  return node.lines.some(({ at }) => at !== null) ? 'rigid' : 'fit';
}

/** Common practice, no source: icons, avatars and dots up to this many px keep their size. */
const SMALL_DRAWING = 96;

function isSmallDrawing(part: Part): boolean {
  const { node, box } = part;
  return node.kind === 'box' && box.width <= SMALL_DRAWING && box.height <= SMALL_DRAWING && !hasText(part);
}

function hasText({ node, content, below, above }: Part): boolean {
  return (
    node.kind === 'text' ||
    below.some(hasWords) ||
    above.some(hasWords) ||
    (content?.parts.some(hasText) ?? false)
  );
}
