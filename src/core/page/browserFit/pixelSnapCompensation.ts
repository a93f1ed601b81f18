import { edgeContrast, isSeen } from '../../look/contrast';
import { isPlain, wholeBorderWidth, type Border, type Look } from '../../look/look';
import { bottom, distanceToWholePx, right } from '../../mockup/box';
import type { Colour } from '../../mockup/paint';
import type { PageNode } from '../node';
import type { Place } from '../place';

/**
 * Browsers snap the edges of boxes to whole px; SVG draws an edge between two px as it is. Where the
 * difference is visible, a transform moves a box without content from the whole px to its exact edges. Places
 * are px of the screen.
 * @param ground the background colour around the node
 */
export function snapCompensatedPlace(node: PageNode, ground: Colour): Place {
  const { place } = node;
  if (node.kind !== 'box' || node.children.length > 0 || place.linear) return place;
  const { x, y, width, height } = place;
  const border = borderOnly(node.look);
  const edges = [x, x + width, y, y + height, border?.width ?? 0];
  if (!isSeen(Math.max(...edges.map(distanceToWholePx)), edgeContrast(node.look, ground))) return place;
  const holds = place.kind === 'fixed' ? place.pins : undefined;
  // A box that the layout stretches or places has a size that browsers round.
  const isFirm = place.kind === 'fixed' && holds?.x !== 'both' && holds?.y !== 'both';
  const stretch = border && isFirm ? border.width / wholeBorderWidth(border) : 1;
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
  if (place.kind === 'flow') return { ...place, snapCompensation: between };
  const box = isFirm ? whole : { x: whole.x, y: whole.y, width, height };
  const moved = holds && {
    ...holds,
    right: holds.right + right(place) - right(box),
    bottom: holds.bottom + bottom(place) - bottom(box),
  };
  return { ...place, ...box, ...(moved && { pins: moved }), snapCompensation: between };
}

function wholeLength(length: number): number {
  return Math.max(1, Math.round(length));
}

/** The border of a look without anything else: only such a box can be stretched. */
function borderOnly({ border, ...others }: Look): Border | null {
  return border && isPlain(others) ? border : null;
}
