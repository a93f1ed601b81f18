import { bottom, type Box } from '../../../mockup/box';
import type { Page } from '../../frame';
import { placedBox } from '../../placed';

/** The screen's box, extended to the end of its content: a page scrolls down. Px of the screen. */
export function contentBox({ width, height, children }: Page): Box {
  const ends = children.map(({ place }) => placedBox(place)).filter((box) => box.y < height && box.x < width);
  return { x: 0, y: 0, width, height: Math.max(height, ...ends.map(bottom)) };
}
