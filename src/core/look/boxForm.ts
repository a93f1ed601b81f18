import svgpath from 'svgpath';
import { boxOf, contains, intersection, type Box } from '../mockup/box';
import type { Point } from '../mockup/matrix';
import type { Clip, ShapeLayer } from '../mockup/layer';
import { NO_RADII, evenRadii, hasRadii, type Outline, type Radii } from '../mockup/outline';
import type { Stroke } from '../mockup/paint';
import { memoizeText } from '../mockup/memoize';
import { pathForm, type PathForm } from './pathForm';

/** A box with its corners. */
export interface Rounded {
  readonly box: Box;
  readonly radii: Radii;
}

/** A shape that CSS can draw, in the layer's own coordinates. */
export type BoxForm =
  /** `cut`: the shape is clipped by a box, and this form is the intersection of both. */
  | ({ readonly kind: 'box'; readonly cut: boolean } & Rounded)
  | ({ readonly kind: 'ellipse' } & Rounded)
  /** A straight line, lying or standing: the box that its stroke covers. */
  | ({ readonly kind: 'rule'; readonly lying: boolean; readonly from: Point; readonly to: Point } & Rounded)
  /** A border of even width, drawn as a fill between two boxes. */
  | ({ readonly kind: 'ring'; readonly width: number } & Rounded);

/** The CSS box that the shape is; null for a free-form shape. */
export function boxForm(layer: ShapeLayer): BoxForm | null {
  const { outline, stroke } = layer;
  switch (outline.kind) {
    case 'rect':
      return cutForm({ box: outline.box, radii: outline.radii }, layer);
    case 'ellipse': {
      const { width, height } = outline.box;
      return { kind: 'ellipse', box: outline.box, radii: evenRadii(width / 2, height / 2) };
    }
    case 'line':
      return ruleForm({ x: outline.x1, y: outline.y1 }, { x: outline.x2, y: outline.y2 }, stroke);
    case 'path': {
      const form = knownPathForm(outline, stroke !== null);
      if (form?.kind === 'box') return isRound(form) ? { ...form, kind: 'ellipse' } : cutForm(form, layer);
      if (form?.kind === 'line') return ruleForm(form.from, form.to, stroke);
      return form;
    }
  }
}

/** Memoized: every rule and stage asks for the form, and drawings repeat their icons. */
const FORMS = {
  nonzero: {
    drawn: memoizeText((d) => pathForm(d, 'nonzero', true)),
    filled: memoizeText((d) => pathForm(d, 'nonzero', false)),
  },
  evenodd: {
    drawn: memoizeText((d) => pathForm(d, 'evenodd', true)),
    filled: memoizeText((d) => pathForm(d, 'evenodd', false)),
  },
};

function knownPathForm({ d, rule }: Extract<Outline, { kind: 'path' }>, stroked: boolean): PathForm | null {
  return FORMS[rule][stroked ? 'drawn' : 'filled'](d);
}

function isRound({ box, radii }: Rounded): boolean {
  const near = Math.min(box.width, box.height) * 0.01;
  return radii.every(({ x, y }) => x >= box.width / 2 - near && y >= box.height / 2 - near);
}

/** The intersection of a box and the box that clips it. */
function cutForm(form: Rounded, { clip, stroke, effects }: ShapeLayer): BoxForm {
  const plain: BoxForm = { kind: 'box', cut: false, ...form };
  const cutter = clip && !stroke && effects.length === 0 ? rectOf(clip) : null;
  if (!cutter) return plain;
  if (contains(cutter.box, form.box) && !hasRadii(cutter.radii)) return { ...plain, cut: true };
  if (hasRadii(form.radii)) return plain;
  if (contains(form.box, cutter.box)) return { kind: 'box', cut: true, ...cutter };
  const shared = hasRadii(cutter.radii) ? null : intersection(form.box, cutter.box);
  return shared && shared.width > 0 && shared.height > 0
    ? { kind: 'box', cut: true, box: shared, radii: NO_RADII }
    : plain;
}

function rectOf(clip: Clip): Rounded | null {
  return clip.kind === 'outline' ? outlineRect(clip.outline) : null;
}

/** The box that the outline draws, px of the outline; null for any other outline. */
export function outlineRect(outline: Outline): Rounded | null {
  const form = outline.kind === 'path' ? knownPathForm(outline, false) : outline;
  return form?.kind === 'box' || form?.kind === 'rect' ? { box: form.box, radii: form.radii } : null;
}

/** Paths with more parts are drawings. */
const MOST_PARTS = 64;

/** The boxes that the parts of an outline draw; null when a part is no box or there are too many parts. */
export function outlineRects(outline: Outline): readonly Rounded[] | null {
  const whole = outlineRect(outline);
  if (whole || outline.kind !== 'path') return whole && [whole];
  const parts = subpaths(outline.d);
  if (parts.length > MOST_PARTS) return null;
  const rects = parts.map((d) => outlineRect({ ...outline, d }));
  return rects.every((rect) => rect !== null) ? rects : null;
}

/** The parts of a path, each with the command that begins it (SVG 2, §9.3.3). */
export function subpaths(d: string): readonly string[] {
  return svgpath(d).abs().toString().split(/(?=M)/);
}

function ruleForm(from: Point, to: Point, stroke: Stroke | null): BoxForm | null {
  const lying = from.y === to.y;
  if ((!lying && from.x !== to.x) || !stroke) return null;
  const half = stroke.width / 2;
  const beyond = stroke.cap === 'square' ? half : 0;
  const [left, rightEdge] = [Math.min(from.x, to.x), Math.max(from.x, to.x)];
  const [top, bottomEdge] = [Math.min(from.y, to.y), Math.max(from.y, to.y)];
  const box = lying
    ? boxOf(left - beyond, top - half, rightEdge + beyond, bottomEdge + half)
    : boxOf(left - half, top - beyond, rightEdge + half, bottomEdge + beyond);
  return box.width > 0 && box.height > 0 ? { kind: 'rule', box, radii: NO_RADII, lying, from, to } : null;
}
