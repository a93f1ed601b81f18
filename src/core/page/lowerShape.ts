import { boxForm, type BoxForm } from '../look/boxForm';
import { fillOf } from '../look/fills';
import type { Look, LookFill } from '../look/look';
import { grow, transformBox, type Box } from '../mockup/box';
import type { ShapeLayer } from '../mockup/layer';
import { applyTo, isUniform, isUpright, meanScale, type Matrix } from '../mockup/matrix';
import { hasRadii, mapRadii, type Radii, type Radius } from '../mockup/outline';
import type { Stroke } from '../mockup/paint';
import { hasBoxShadows } from '../look/boxShadows';
import { effectsLook, elementClip, scaledShadow } from './layerEffects';
import type { SharedParts } from './lower';
import type { BoxNode } from './node';
import type { Place, LinearTransform } from './place';
import { uprightEquivalent } from './unturn';

/** A shape as a box node: the box around its stroke, and its paints. */
export function lowerShape(drawn: ShapeLayer, drawnMatrix: Matrix, shared: SharedParts): BoxNode | null {
  const { layer, matrix } = uprightEquivalent({ layer: drawn, matrix: drawnMatrix });
  const form = boxForm(layer);
  if (!form) return null;
  // Upright boxes include the scale in their size; all others keep their size and get a transform.
  const upright = isUpright(matrix) && (isUniform(matrix) || (!layer.stroke && layer.effects.length === 0));
  const inner: Matrix = upright ? matrix : [1, 0, 0, 1, 0, 0];
  const scaled = scaleForm(form, inner);
  const strokeWidth = layer.stroke
    ? layer.stroke.width * (layer.stroke.fixedWidth ? 1 : meanScale(inner))
    : 0;
  const ring = form.kind === 'ring' ? form.width * meanScale(inner) : 0;
  const border = form.kind === 'rule' ? 0 : ring || strokeWidth;
  const outer = grow(scaled.box, (border - ring) / 2);
  const look = borderFillsBox(outer, {
    ...paintLook(layer, form, inner, outer, border),
    ...radiiLook(scaled.radii, border - ring, layer.stroke),
    ...shapeEffectsLook(layer, inner),
    ...(form.kind === 'box' && form.cut ? {} : clipLook(layer, inner, outer)),
  });
  const place = upright ? placeAt(outer) : turnedPlace(outer, matrix);
  return { kind: 'box', ...shared, place, look, children: [] };
}

/** A box whose borders cover all of its inside becomes a plain box in their colour. */
function borderFillsBox({ width, height }: Box, look: Look): Look {
  const { border, fills: _, ...others } = look;
  if (!border || border.colour.alpha < 1 || Math.min(width, height) > 2 * border.width) return look;
  return { ...others, fills: [{ kind: 'solid', colour: border.colour }] };
}

function placeAt(box: Box): Place {
  return { kind: 'fixed', ...box, fitsContent: false, linear: null };
}

/** A box that is turned or slanted about its top left corner. */
export function turnedPlace(box: Box, matrix: Matrix): Place {
  const corner = applyTo(matrix, { x: box.x, y: box.y });
  const turn: LinearTransform = [matrix[0], matrix[1], matrix[2], matrix[3]];
  return {
    kind: 'fixed',
    x: corner.x,
    y: corner.y,
    width: box.width,
    height: box.height,
    fitsContent: false,
    linear: turn,
  };
}

function scaleForm({ box, radii }: BoxForm, matrix: Matrix): { box: Box; radii: Radii } {
  const [across, , , down] = matrix;
  const scaled = mapRadii(radii, ({ x, y }) => ({ x: x * across, y: y * down }));
  return { box: transformBox(matrix, box), radii: scaled };
}

function paintLook(layer: ShapeLayer, form: BoxForm, matrix: Matrix, outer: Box, border: number): Look {
  if (form.kind === 'rule') {
    const fill = layer.stroke && ruleFill(layer.stroke, form, matrix, outer);
    return fill ? { fills: [fill] } : {};
  }
  if (form.kind === 'ring')
    return layer.fill?.kind === 'solid' ? { border: { width: border, colour: layer.fill.colour } } : {};
  // CSS measures backgrounds from inside the border.
  const fill = layer.fill && fillOf(layer.fill, matrix, grow(outer, -border));
  const paint = layer.stroke?.paint;
  return {
    ...(fill && { fills: [fill] }),
    ...(paint?.kind === 'solid' && { border: { width: border, colour: paint.colour } }),
  };
}

/** The paint of a straight line; dashes are a pattern that repeats along it. */
function ruleFill(
  stroke: Stroke,
  { lying, from: begin, to: end }: Extract<BoxForm, { kind: 'rule' }>,
  matrix: Matrix,
  box: Box,
): LookFill | null {
  if (stroke.paint.kind !== 'solid') return null;
  const { colour } = stroke.paint;
  if (stroke.dashes.length === 0) return { kind: 'solid', colour };
  const period = stroke.dashes.reduce((sum, dash) => sum + dash, 0);
  const clear = { ...colour, alpha: 0 };
  let run = 0;
  const stops = stroke.dashes.flatMap((dash, at) => {
    const [start, end] = [run / period, (run + dash) / period];
    run += dash;
    const shade = at % 2 === 0 ? colour : clear;
    return [
      { offset: start, colour: shade },
      { offset: end, colour: shade },
    ];
  });
  const way = Math.sign(lying ? end.x - begin.x : end.y - begin.y) || 1;
  const start = applyTo(matrix, {
    x: lying ? begin.x - stroke.dashOffset * way : begin.x,
    y: lying ? begin.y : begin.y - stroke.dashOffset * way,
  });
  const scale = (lying ? matrix[0] : matrix[3]) * period * way;
  const from = { x: lying ? start.x - box.x : 0, y: lying ? 0 : start.y - box.y };
  const to = lying ? { x: from.x + scale, y: 0 } : { x: 0, y: from.y + scale };
  return { kind: 'linear', from, to, width: box.width, height: box.height, repeating: true, stops };
}

/** The outer edge of a border lies half its width outside of the outline, and so do its corners. */
function radiiLook(radii: Radii, border: number, stroke: Stroke | null): Look {
  const round = stroke?.join === 'round';
  if (!hasRadii(radii) && !(border > 0 && round)) return {};
  const out = (radius: Radius): Radius =>
    radius.x > 0 || round ? { x: radius.x + border / 2, y: radius.y + border / 2 } : radius;
  return { radii: mapRadii(radii, out) };
}

/** A filled box has box shadows; any other shape has filter shadows. */
function shapeEffectsLook(layer: ShapeLayer, matrix: Matrix): Look {
  if (layer.effects.length === 0 || !hasBoxShadows(layer)) return effectsLook(layer, matrix);
  const shadows = layer.effects.flatMap((effect) =>
    effect.kind === 'drop-shadow' || effect.kind === 'inner-shadow'
      ? [{ ...scaledShadow(effect, matrix), inset: effect.kind === 'inner-shadow' }]
      : [],
  );
  return { ...effectsLook({ ...layer, effects: [] }, matrix), shadows: shadows.reverse() };
}

function clipLook(layer: ShapeLayer, matrix: Matrix, outer: Box): Look {
  const clip = elementClip(layer.clip, matrix, outer);
  return clip ? { clip } : {};
}
