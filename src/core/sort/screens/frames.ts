import type { Measures } from '../../mockup/bounds';
import { area, boxOf, bottom, contains, intersection, right, transformBox, type Box } from '../../mockup/box';
import type { GroupLayer, Layer } from '../../mockup/layer';
import { isUpright, multiply } from '../../mockup/matrix';
import { outlineBox } from '../../mockup/outline';

/** The box on the sheet that a group would have as a screen. */
export interface Frame {
  readonly layer: GroupLayer;
  /** Px of the sheet. */
  readonly box: Box;
  /** True for a box that is drawn: a clip or a backdrop. */
  readonly isDrawn: boolean;
}

/** Common practice, no source: the shortest side of a screen, px. */
const SHORTEST = 240;
/** The share of what a group paints that its backdrop covers; layers may reach far past the screen's edge. */
const BACKDROP_SHARE = 0.4;
/** The share of a screen that its group paints at least, when it has the size of the other screens. */
const PAINTED_SHARE = 0.3;

/**
 * The frames of the groups that are large enough for a screen. A group that draws no frame has the size of the
 * others from its own origin.
 * @param sheetWidth px
 */
export function framesOf(
  groups: readonly GroupLayer[],
  sheetWidth: number,
  measures: Measures,
): readonly Frame[] {
  const own = groups.flatMap((group) => ownFrame(group, measures) ?? []);
  // A group as wide as the sheet is a section of one page, and lends its size to none.
  const drawn = own.filter(({ box, isDrawn }) => isDrawn && isLarge(box) && box.width < sheetWidth - 1);
  return own
    .map((frame) => (isFrame(frame, drawn, measures) ? frame : (likeOthers(frame, drawn, measures) ?? frame)))
    .filter(({ box }) => isLarge(box));
}

function isLarge({ width, height }: Box): boolean {
  return Math.min(width, height) >= SHORTEST;
}

/** True for a frame that is drawn from its group's origin, or has the size of another one that is drawn. */
function isFrame({ layer, box, isDrawn }: Frame, drawn: readonly Frame[], measures: Measures): boolean {
  if (drawn.some((other) => other.layer !== layer && isSameSize(box, other.box))) return true;
  const matrix = measures.get(layer.id)?.matrix;
  // A backdrop that reaches past the origin is wider than its screen.
  const reachesPast = matrix !== undefined && (box.x < matrix[4] - 1 || box.y < matrix[5] - 1);
  return isDrawn && !reachesPast;
}

export function isSameSize(one: Box, other: Box): boolean {
  return Math.abs(one.width - other.width) < 1 && Math.abs(one.height - other.height) < 1;
}

/** The frame of a group by itself: its clip, its backdrop, else all that it paints from its origin. */
export function ownFrame(group: GroupLayer, measures: Measures): Frame | null {
  const painted = measures.get(group.id)?.painted;
  if (!painted) return null;
  const drawn = drawnFrame(group, measures);
  if (drawn) return { layer: group, box: drawn, isDrawn: true };
  return { layer: group, box: fromOrigin(group, painted, measures), isDrawn: false };
}

/** The box of a group's clip, else of its backdrop: its lowest layer, beneath most of what it paints. */
function drawnFrame(group: GroupLayer, measures: Measures): Box | null {
  const measure = measures.get(group.id);
  const painted = measure?.painted;
  if (!measure || !painted) return null;
  if (group.clip?.kind === 'outline') {
    const cut = outlineBox(group.clip.outline);
    if (cut) return transformBox(measure.matrix, cut);
  }
  const [lowest] = group.layers.filter(({ visible }) => visible);
  // A screen is often wrapped once more; then the inner group has the clip or the backdrop.
  if (group.layers.length === 1 && lowest?.kind === 'group') return drawnFrame(lowest, measures);
  const frame = lowest ? filledBox(lowest, multiply(measure.matrix, lowest.transform)) : null;
  const seen = frame && intersection(frame, painted);
  return seen && area(seen) >= BACKDROP_SHARE * area(painted) ? frame : null;
}

/** The box that a layer fills, px of the sheet; null for one that fills none. */
function filledBox(layer: Layer, matrix: Parameters<typeof transformBox>[0]): Box | null {
  if (layer.kind === 'bitmap') return transformBox(matrix, layer.box);
  const box = layer.kind === 'shape' && layer.fill ? outlineBox(layer.outline) : null;
  return box && transformBox(matrix, box);
}

/** All that a group paints, from its own origin when it stands inside: tools give each screen its own. */
function fromOrigin(group: GroupLayer, painted: Box, measures: Measures): Box {
  const matrix = measures.get(group.id)?.matrix;
  if (!matrix || !isUpright(matrix)) return painted;
  const [, , , , x, y] = matrix;
  const isOrigin = (x !== 0 || y !== 0) && x <= painted.x + 0.5 && y <= painted.y + 0.5;
  return isOrigin ? boxOf(x, y, right(painted), bottom(painted)) : painted;
}

/** The frame of a group in the size of another screen, at its own origin or at the corner of what it paints. */
function likeOthers({ layer, box }: Frame, drawn: readonly Frame[], measures: Measures): Frame | null {
  const measure = measures.get(layer.id);
  const painted = measure?.painted;
  if (!painted) return null;
  const corners = [
    { x: measure.matrix[4], y: measure.matrix[5] },
    { x: box.x, y: box.y },
  ];
  for (const other of drawn) {
    const { width, height } = other.box;
    for (const { x, y } of corners) {
      const frame = { x, y, width, height };
      const seen = intersection(frame, painted);
      const isSeen = seen !== null && area(seen) >= PAINTED_SHARE * area(frame);
      if (isSeen && (contains(frame, painted, 1) || area(seen) >= area(painted) / 2))
        return { layer, box: frame, isDrawn: false };
    }
  }
  return null;
}
