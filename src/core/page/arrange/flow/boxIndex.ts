import Flatbush from 'flatbush';
import { bottom, right, touches, type Box } from '../../../mockup/box';

/** So few boxes are looked through faster than an index of them is made. */
const FEW = 16;

/** Finds the boxes that touch a box, in order. */
export function indexOf(boxes: readonly Box[]): (box: Box) => readonly number[] {
  if (boxes.length <= FEW)
    return (box) => {
      const found: number[] = [];
      for (let at = 0; at < boxes.length; at++) if (touches(box, boxes[at]!)) found.push(at);
      return found;
    };
  const index = new Flatbush(boxes.length);
  for (const box of boxes) index.add(box.x, box.y, right(box), bottom(box));
  index.finish();
  return (box) => index.search(box.x, box.y, right(box), bottom(box)).sort((one, other) => one - other);
}
