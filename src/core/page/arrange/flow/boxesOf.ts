import Flatbush from 'flatbush';
import { bottom, right, touches, type Box } from '../../../mockup/box';
import { rememberOf } from '../../../mockup/remember';
import { placedBox } from '../../lower';
import type { PageNode } from '../../node';

/** Where nodes stand, by their place among them. */
interface Boxes {
  readonly boxes: readonly Box[];
  /** Those whose boxes touch that of one, itself among them, in order. */
  readonly touching: (at: number) => readonly number[];
}

/** So few boxes are looked through faster than an index of them is made. */
const FEW = 16;

/** Where nodes stand, px of the screen: each step of a layout asks it of the same ones. */
export const boxesOf = rememberOf((nodes: readonly PageNode[]): Boxes => {
  const boxes = nodes.map(({ place }) => placedBox(place));
  const find = boxes.length <= FEW ? lookThrough(boxes) : indexOf(boxes);
  const found: (readonly number[])[] = [];
  return { boxes, touching: (at) => (found[at] ??= find(boxes[at]!)) };
});

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
