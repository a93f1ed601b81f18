import { right } from '../../../mockup/box';
import type { TextNode } from '../../node';
import { aroundAll, innerBox, isText, type Content, type Part } from './parts';

/** Px by which two paddings may differ and still be meant as the same. */
const EVEN = 1.5;

/** True when the part is as wide as in the mockup without being told so: its content gives the width. */
export function isIntrinsic(part: Part): boolean {
  if (isText(part)) return part.node.lines.length === 1 || part.node.lines.every((line) => line.at === null);
  return part.content === null || canHug(part);
}

/** True for a box whose padding is even and whose content gives the width inside of it. */
export function canHug(part: Part): boolean {
  const { node, content } = part;
  if (node.kind !== 'box' || !content || node.role === 'field') return false;
  if (!isEven(part, content)) return false;
  const inside = aroundAll(content.parts.map((each) => each.box));
  if (content.direction === 'column') {
    const widest = content.parts.filter(({ box }) => Math.abs(box.width - inside.width) <= 1);
    return widest.some(isIntrinsic) && content.parts.every(isIntrinsic);
  }
  return content.parts.every(isIntrinsic);
}

function isEven(part: Part, content: Content): boolean {
  const inside = aroundAll(content.parts.map((each) => each.box));
  const inner = paddingBox(part);
  return Math.abs(inside.x - inner.x - (right(inner) - right(inside))) <= EVEN;
}

/** True for a row that its parts fill, whatever they are: a set width would squeeze words that come out wider. */
export function isTight(part: Part): boolean {
  const { content } = part;
  return content?.direction === 'row' && part.node.role !== 'field' && isEven(part, content);
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

/** The width of a line's first word is guessed from its letters; so much of the guess is trusted. */
const TRUSTED = 0.75;
/** Px that letters may be wider or narrower in the browser, and that a paragraph gets more than its longest line. */
const SLACK = 0.4;
const ROOM = 6;
/** Letters of scripts without spaces between words (CSS Text 3, §5.2). */
const WITHOUT_SPACES = /[\u2E80-\u9FFF\uAC00-\uD7AF\uF900-\uFAFF\u3040-\u30FF]/u;

/**
 * The width, at most `available` px, in which the browser breaks a paragraph of several lines as it is drawn; null when
 * it has to be told where to break.
 */
export function freeWidth({ lines, place }: TextNode, available: number): number | null {
  if (lines.length < 2 || place.turn || lines.some((line) => line.at !== null)) return null;
  const texts = lines.map((line) => line.spans.map((span) => span.text).join(''));
  if (texts.some((text) => WITHOUT_SPACES.test(text) || text.trim() === '' || /^\s|\s$|-$/.test(text)))
    return null;
  const longest = Math.max(...lines.map((line) => line.width));
  const breaks = lines.slice(1).map((line, at) => {
    const text = texts[at + 1] ?? '';
    const [word = ''] = text.split(' ');
    const guess = (line.width * (word.length + 1)) / Math.max(1, text.length);
    return (lines[at]?.width ?? 0) + guess * TRUSTED;
  });
  const most = Math.min(...breaks) - SLACK;
  if (available >= longest + SLACK && available <= most) return available;
  const width = longest + Math.min(ROOM, (most - longest) / 2);
  return most - longest >= 2 * SLACK && width <= available ? width : null;
}
