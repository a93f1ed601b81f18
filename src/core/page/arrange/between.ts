import { edgeContrast, isSeen } from '../../look/contrast';
import { isPlain, pageBorder, type Border, type Look } from '../../look/look';
import { bottom, offPx, right } from '../../mockup/box';
import type { Colour } from '../../mockup/paint';
import type { PageNode, Place } from '../node';

/**
 * Browsers move the edges of boxes to whole px, where SVG draws an edge between two px as it is. Where that is seen, a
 * transform brings a bare box from the whole px to where its edges are. Places are those of the screen.
 * @param ground the colour around the node
 */
export function betweenPx(node: PageNode, ground: Colour): Place {
  const { place } = node;
  if (node.kind !== 'box' || node.children.length > 0 || place.turn) return place;
  const { x, y, width, height } = place;
  const border = borderAlone(node.look);
  const edges = [x, x + width, y, y + height, border?.width ?? 0];
  if (!isSeen(Math.max(...edges.map(offPx)), edgeContrast(node.look, ground))) return place;
  const holds = place.kind === 'fixed' ? place.holds : undefined;
  // What the layout stretches or places keeps its own size, which browsers round.
  const isFirm = place.kind === 'fixed' && holds?.x !== 'both' && holds?.y !== 'both';
  const stretch = border && isFirm ? border.width / pageBorder(border) : 1;
  const whole = {
    x: Math.floor(x),
    y: Math.floor(y),
    width: wholeLength(width / stretch),
    height: wholeLength(height / stretch),
  };
  const between = {
    move: { x: x - whole.x, y: y - whole.y },
    scale: { x: width / whole.width, y: height / whole.height },
  };
  if (place.kind === 'flow') return { ...place, between };
  const box = isFirm ? whole : { x: whole.x, y: whole.y, width, height };
  const moved = holds && {
    ...holds,
    right: holds.right + right(place) - right(box),
    bottom: holds.bottom + bottom(place) - bottom(box),
  };
  return { ...place, ...box, ...(moved && { holds: moved }), between };
}

function wholeLength(length: number): number {
  return Math.max(1, Math.round(length));
}

/** The border of what shows nothing else: only that can be stretched. */
function borderAlone({ border, ...others }: Look): Border | null {
  return border && isPlain(others) ? border : null;
}
