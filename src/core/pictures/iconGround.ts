import { boxForm } from '../look/boxForm';
import type { Measures } from '../mockup/bounds';
import { contains, overlaps, transformBox, type Box } from '../mockup/box';
import type { GroupLayer, Layer, ShapeLayer } from '../mockup/layer';
import { isUpright } from '../mockup/matrix';
import { hasRadii } from '../mockup/outline';
import type { Screen } from '../mockup/mockup';
import type { Colour } from '../mockup/paint';
import { walk } from '../mockup/walk';
import { LARGEST_ICON } from './nominalBox';

/** A picture without the square beneath it, and the box of that square. */
export interface FreedIcon {
  readonly layer: GroupLayer;
  readonly box: Box;
}

/**
 * An icon without the square that it stands on, where the square has the colour of the page beneath: it shows
 * nothing, and would cover what lies beneath elsewhere. Null for any other picture.
 */
export function withoutGround(layer: Layer, screen: Screen, measures: Measures): FreedIcon | null {
  const [lowest, ...others] = layer.kind === 'group' ? layer.layers : [];
  if (layer.kind !== 'group' || lowest?.kind !== 'shape' || others.length === 0) return null;
  const ground = filledBox(lowest, measures);
  const painted = measures.get(layer.id)?.painted;
  const isIcon = ground && painted && contains(ground.box, painted, 0.5);
  if (!isIcon || Math.max(ground.box.width, ground.box.height) > LARGEST_ICON) return null;
  const beneath = colourBeneath(layer, ground.box, screen, measures);
  return beneath && isSame(beneath, ground.colour)
    ? { layer: { ...layer, layers: others }, box: ground.box }
    : null;
}

/** The colour of the page under all of a box; null where it is not one opaque colour. */
function colourBeneath(layer: Layer, box: Box, { root }: Screen, measures: Measures): Colour | null {
  let colour: Colour | null = null;
  for (const part of walk(root)) {
    if (part.id === layer.id) return colour;
    const painted = part.kind === 'group' || !part.visible ? null : measures.get(part.id)?.painted;
    if (!painted || !overlaps(painted, box, 0)) continue;
    const filled = part.kind === 'shape' ? filledBox(part, measures) : null;
    colour = filled && contains(filled.box, box) ? filled.colour : null;
  }
  return null;
}

/** The box that a shape fills with one opaque colour, px of the screen. */
function filledBox(
  layer: ShapeLayer,
  measures: Measures,
): { readonly box: Box; readonly colour: Colour } | null {
  const { fill, stroke, opacity, blend, effects, filter, clip, mask } = layer;
  const isPlain = opacity === 1 && blend === 'normal' && effects.length === 0 && !filter && !clip && !mask;
  const matrix = measures.get(layer.id)?.matrix;
  const form = boxForm(layer);
  if (!isPlain || stroke || fill?.kind !== 'solid' || fill.colour.alpha < 1 || !matrix) return null;
  return form?.kind === 'box' && !hasRadii(form.radii) && isUpright(matrix)
    ? { box: transformBox(matrix, form.box), colour: fill.colour }
    : null;
}

function isSame(one: Colour, other: Colour): boolean {
  return one.r === other.r && one.g === other.g && one.b === other.b;
}
