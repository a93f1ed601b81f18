import { boxForm } from '../look/boxForm';
import { contains, transformBox, type Box } from '../mockup/box';
import type { GroupLayer, Layer, ShapeLayer } from '../mockup/layer';
import { isUpright, multiply, type Matrix } from '../mockup/matrix';
import { outlineBox } from '../mockup/outline';

/** Common practice, no source: the largest box that icons of a set are drawn in, px. */
export const LARGEST_ICON = 256;

/**
 * The box that a drawing was drawn in: its viewport, or a shape without paint beneath it that holds it. Icons
 * of one set have one such box, whatever they draw. Null for a drawing without one.
 * @param matrix from the group's own coordinates to the screen's
 * @param painted what the drawing paints, px of the screen
 */
export function nominalBox(layer: Layer, matrix: Matrix, painted: Box): Box | null {
  if (layer.kind !== 'group' || !isUpright(matrix)) return null;
  const box = viewportOf(layer, matrix) ?? boundsOf(layer, matrix);
  const isUsable = box && contains(box, painted, 1) && Math.max(box.width, box.height) <= LARGEST_ICON;
  return isUsable ? box : null;
}

/** The clip around all content, or that of an only child: the viewport of a symbol. */
function viewportOf(group: GroupLayer, matrix: Matrix): Box | null {
  const { clip } = group;
  if (clip?.kind === 'outline' && clip.outline.kind === 'rect') return transformBox(matrix, clip.outline.box);
  const [only, ...more] = group.layers;
  const own = only && multiply(matrix, only.transform);
  return only?.kind === 'group' && more.length === 0 && own && isUpright(own) ? viewportOf(only, own) : null;
}

/** The box of the lowest shape, when it is a rectangle without paint. */
function boundsOf({ layers: [lowest] }: GroupLayer, matrix: Matrix): Box | null {
  if (lowest?.kind !== 'shape' || !isUnpainted(lowest)) return null;
  const own = multiply(matrix, lowest.transform);
  const isBox = boxForm({ ...lowest, fill: BLACK, stroke: null, opacity: 1 })?.kind === 'box';
  const box = isBox && isUpright(own) ? outlineBox(lowest.outline) : null;
  return box && transformBox(own, box);
}

const BLACK = { kind: 'solid', colour: { r: 0, g: 0, b: 0, alpha: 1 } } as const;

function isUnpainted({ fill, stroke, opacity }: ShapeLayer): boolean {
  const isClear = fill === null || (fill.kind === 'solid' && fill.colour.alpha === 0);
  return opacity === 0 || (isClear && stroke === null);
}
