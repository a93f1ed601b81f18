import Flatbush from 'flatbush';
import { borderInsets } from '../../../look/look';
import { bottom, right, sameBox, touches, type Box } from '../../../mockup/box';
import { memoizeByObject } from '../../../mockup/memoize';
import { placedBox } from '../../placed';
import type { PageNode } from '../../node';

/** The boxes of nodes, by index. */
interface NodeBoxes {
  readonly boxes: readonly Box[];
  /** The boxes without half of their borders: neighbours may overlap by their borders. */
  readonly cores: readonly Box[];
  /** The indices of all boxes that touch one box, itself included, in order. */
  readonly touching: (at: number) => readonly number[];
}

/** Up to this many boxes, a linear search is faster than an index. */
const FEW_BOXES = 16;

/** The boxes of nodes, px of the screen. Memoized: each step of the layout asks for them. */
export const nodeBoxes = memoizeByObject((nodes: readonly PageNode[]): NodeBoxes => {
  const boxes = nodes.map(({ place }) => placedBox(place));
  const find = touchingIndex(boxes);
  const found: (readonly number[])[] = [];
  const cores = nodes.map((node, at) => coreOf(node, boxes[at]!));
  return { boxes, cores, touching: (at) => (found[at] ??= find(boxes[at]!)) };
});

/** A function that gives the indices of all boxes that touch a box, in order. */
export function touchingIndex(boxes: readonly Box[]): (box: Box) => readonly number[] {
  return boxes.length <= FEW_BOXES ? linearSearch(boxes) : spatialIndex(boxes);
}

function linearSearch(boxes: readonly Box[]): (box: Box) => readonly number[] {
  return (box) => {
    const found: number[] = [];
    for (let at = 0; at < boxes.length; at++) if (touches(box, boxes[at]!)) found.push(at);
    return found;
  };
}

function spatialIndex(boxes: readonly Box[]): (box: Box) => readonly number[] {
  const index = new Flatbush(boxes.length);
  for (const box of boxes) index.add(box.x, box.y, right(box), bottom(box));
  index.finish();
  return (box) => index.search(box.x, box.y, right(box), bottom(box)).sort((one, other) => one - other);
}

/** Px: common practice, no source: wider borders are no lines. */
const WIDEST_LINE = 2;

/** A box without half of the borders around it or around its only child. */
export function coreOf(node: PageNode, box: Box): Box {
  if (node.kind !== 'box') return box;
  const { border, sides } = node.look;
  if (!border && !sides) {
    const only = node.children.length === 1 ? node.children[0] : undefined;
    return only && sameBox(placedBox(only.place), box) ? coreOf(only, box) : box;
  }
  const insets = borderInsets(node.look);
  const half = (line: number) => (line <= WIDEST_LINE ? line / 2 : 0);
  const [top, below, left, rest] = [insets.top, insets.bottom, insets.left, insets.right].map(half);
  return {
    x: box.x + left!,
    y: box.y + top!,
    width: box.width - left! - rest!,
    height: box.height - top! - below!,
  };
}
