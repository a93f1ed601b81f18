import type { ShapeLayer } from '../mockup/layer';
import { hasRadii } from '../mockup/outline';
import { boxForm } from './boxForm';

/** What a person would call the shape, in one or two words. */
export function formName(layer: ShapeLayer): string {
  const form = boxForm(layer);
  if (!form) return 'shape';
  const { width, height } = form.box;
  switch (form.kind) {
    case 'rule':
      return 'rule';
    case 'ring':
      return 'frame';
    case 'ellipse':
      return Math.abs(width - height) <= 0.01 * Math.max(width, height) ? 'circle' : 'ellipse';
    case 'box': {
      if (!layer.fill && layer.stroke) return 'frame';
      if (Math.min(width, height) <= 2 && Math.max(width, height) >= 8) return 'rule';
      if (!hasRadii(form.radii)) return 'box';
      const half = Math.min(width, height) / 2;
      return form.radii.every(({ x, y }) => x >= half * 0.98 && y >= half * 0.98) ? 'pill' : 'rounded box';
    }
  }
}
