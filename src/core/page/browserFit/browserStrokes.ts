import svgpath from 'svgpath';
import type { Look, LookClip, LookFill } from '../../look/look';
import { grow, type Box } from '../../mockup/box';
import { memoizeByObject } from '../../mockup/memoize';
import { printPath } from '../../mockup/printPath';
import { withChildren } from '../mapBoxes';
import type { BoxNode, PageNode } from '../node';
import type { Place } from '../place';
import { widenHairlines } from './hairlines';
import { strokeAsShadow, transformedStrokeAsShadow } from './strokeAsShadow';

/**
 * Draws the strokes of shapes as browsers must be told: lines between px as shadows, and those thinner than a px a px
 * wide and paler. Places are px of the screen.
 */
export function browserStrokes(node: PageNode): PageNode {
  return node.kind === 'box' ? boxStrokes(node) : node;
}

const boxStrokes = memoizeByObject((node: BoxNode): BoxNode =>
  node.children.length > 0 ? withChildren(node, node.children.map(browserStrokes)) : leafStrokes(node),
);

function leafStrokes(node: BoxNode): BoxNode {
  const { place, look } = node;
  // A turned box is dressed before it is turned about its corner.
  const outer = place.linear ? { ...place, x: 0, y: 0 } : place;
  const drawn = place.linear ? transformedStrokeAsShadow(outer, look) : strokeAsShadow(outer, look);
  if (drawn) {
    const { box, beneath, ...ring } = drawn;
    const { border, radii: _, fills = [], clip, ...inside } = look;
    const filled = grow(box, -(ring.fillInset ?? 0));
    // Backgrounds were measured from inside the border, clips from the box around it.
    const padding = grow(outer, -(border?.width ?? 0));
    const painted = [...beneath, ...fills.map((fill) => movedFill(fill, padding, filled))];
    const whole: Look = {
      ...inside,
      ...(clip && { clip: movedClip(clip, outer.x - filled.x, outer.y - filled.y) }),
      ...(painted.length > 0 && { fills: painted }),
      ...ring,
    };
    return { ...node, place: movedPlace(place, outer, box), look: whole };
  }
  if (place.linear) return node;
  const thin = widenHairlines({ box: place, look });
  return thin.look === look ? node : { ...node, place: movedPlace(place, outer, thin.box), look: thin.look };
}

function movedPlace(place: Place, from: Box, { x, y, width, height }: Box): Place {
  if (!place.linear) return { ...place, x, y, width, height };
  const [a, b, c, d] = place.linear;
  const [dx, dy] = [x - from.x, y - from.y];
  return { ...place, x: place.x + a * dx + c * dy, y: place.y + b * dx + d * dy, width, height };
}

/** The fill of a box in px of another one. */
function movedFill(fill: LookFill, from: Box, to: Box): LookFill {
  const [dx, dy] = [from.x - to.x, from.y - to.y];
  const moved = ({ x, y }: { readonly x: number; readonly y: number }) => ({ x: x + dx, y: y + dy });
  if (fill.kind === 'solid') return fill;
  if (fill.kind === 'radial') return { ...fill, centre: moved(fill.centre) };
  return { ...fill, from: moved(fill.from), to: moved(fill.to), width: to.width, height: to.height };
}

function movedClip(clip: LookClip, dx: number, dy: number): LookClip {
  return clip.kind === 'path' ? { ...clip, d: printPath(svgpath(clip.d).translate(dx, dy)) } : clip;
}
