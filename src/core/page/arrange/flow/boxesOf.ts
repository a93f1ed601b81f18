import Flatbush from 'flatbush';
import { borderInsets } from '../../../look/look';
import { bottom, right, sameBox, touches, type Box } from '../../../mockup/box';
import { rememberOf } from '../../../mockup/remember';
import { placedBox } from '../../placed';
import type { PageNode } from '../../node';

/** Where nodes stand, by their place among them. */
interface Boxes {
  readonly boxes: readonly Box[];
  /** The same but for half of their borders: neighbours may have theirs on each other. */
  readonly cores: readonly Box[];
  /** Those whose boxes touch that of one, itself among them, in order. */
  readonly touching: (at: number) => readonly number[];
}

/** So few boxes are looked through faster than an index of them is made. */
const FEW = 16;

/** Where nodes stand, px of the screen: each step of a layout asks it of the same ones. */
export const boxesOf = rememberOf((nodes: readonly PageNode[]): Boxes => {
  const boxes = nodes.map(({ place }) => placedBox(place));
  const find = finder(boxes);
  const found: (readonly number[])[] = [];
  const cores = nodes.map((node, at) => coreOf(node, boxes[at]!));
  return { boxes, cores, touching: (at) => (found[at] ??= find(boxes[at]!)) };
});

/** Gives which boxes touch one, by their place in the list, in order. */
export function finder(boxes: readonly Box[]): (box: Box) => readonly number[] {
  return boxes.length <= FEW ? lookThrough(boxes) : indexOf(boxes);
}

function lookThrough(boxes: readonly Box[]): (box: Box) => readonly number[] {
  return (box) => {
    const found: number[] = [];
    for (let at = 0; at < boxes.length; at++) if (touches(box, boxes[at]!)) found.push(at);
    return found;
  };
}

function indexOf(boxes: readonly Box[]): (box: Box) => readonly number[] {
  const index = new Flatbush(boxes.length);
  for (const box of boxes) index.add(box.x, box.y, right(box), bottom(box));
  index.finish();
  return (box) => index.search(box.x, box.y, right(box), bottom(box)).sort((one, other) => one - other);
}

/** Px: common practice, no source: wider borders are no lines. */
const LINE = 2;

/** A box but for half of the lines around it, or around the only thing in it. */
export function coreOf(node: PageNode, box: Box): Box {
  if (node.kind !== 'box') return box;
  const { border, sides } = node.look;
  if (!border && !sides) {
    const only = node.children.length === 1 ? node.children[0] : undefined;
    return only && sameBox(placedBox(only.place), box) ? coreOf(only, box) : box;
  }
  const insets = borderInsets(node.look);
  const half = (line: number) => (line <= LINE ? line / 2 : 0);
  const [top, below, left, rest] = [insets.top, insets.bottom, insets.left, insets.right].map(half);
  return {
    x: box.x + left!,
    y: box.y + top!,
    width: box.width - left! - rest!,
    height: box.height - top! - below!,
  };
}
