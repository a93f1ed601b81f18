import { boxOf, type Box } from '../mockup/box';
import type { ShapeLayer } from '../mockup/layer';
import { NO_RADII, evenRadii, type Radii } from '../mockup/outline';
import { pathRectangle } from './pathRectangle';

/** A shape as CSS knows it, in the layer's own coordinates. */
export type BoxForm =
  | { readonly kind: 'box'; readonly box: Box; readonly radii: Radii }
  | { readonly kind: 'ellipse'; readonly box: Box; readonly radii: Radii }
  /** A straight line, lying or standing: the box that its stroke covers. */
  | { readonly kind: 'rule'; readonly box: Box; readonly radii: Radii; readonly lying: boolean };

/** The CSS box that the shape is; null for a free shape. */
export function boxForm({ outline, stroke }: ShapeLayer): BoxForm | null {
  switch (outline.kind) {
    case 'rect':
      return { kind: 'box', box: outline.box, radii: outline.radii };
    case 'ellipse':
      return {
        kind: 'ellipse',
        box: outline.box,
        radii: evenRadii(outline.box.width / 2, outline.box.height / 2),
      };
    case 'path': {
      const box = pathRectangle(outline.d);
      return box && { kind: 'box', box, radii: NO_RADII };
    }
    case 'line': {
      const { x1, y1, x2, y2 } = outline;
      const lying = y1 === y2;
      if ((!lying && x1 !== x2) || !stroke) return null;
      const half = stroke.width / 2;
      const beyond = stroke.cap === 'square' ? half : 0;
      const [left, rightEdge] = [Math.min(x1, x2), Math.max(x1, x2)];
      const [top, bottomEdge] = [Math.min(y1, y2), Math.max(y1, y2)];
      const box = lying
        ? boxOf(left - beyond, top - half, rightEdge + beyond, bottomEdge + half)
        : boxOf(left - half, top - beyond, rightEdge + half, bottomEdge + beyond);
      return box.width > 0 && box.height > 0 ? { kind: 'rule', box, radii: NO_RADII, lying } : null;
    }
  }
}
