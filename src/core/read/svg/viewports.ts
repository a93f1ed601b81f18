import type { Box } from '../../mockup/box';
import { IDENTITY, multiply, scaling, translation, type Matrix } from '../../mockup/matrix';

/** A `viewBox` of four finite numbers with an area, or null. */
export function parseViewBox(text: string | undefined): Box | null {
  const numbers = (text ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [x = NaN, y = NaN, width = NaN, height = NaN] = numbers;
  if (numbers.length !== 4 || !numbers.every(Number.isFinite) || width <= 0 || height <= 0) return null;
  return { x, y, width, height };
}

export interface Fit {
  readonly matrix: Matrix;
  /** True when the content is cut to its viewport (`slice`). */
  readonly cut: boolean;
}

/** The transform from a viewBox to the viewport that it fills (SVG 2, §8.2 and §8.6). */
export function fitViewBox(viewBox: Box | null, viewport: Box, preserveAspectRatio = 'xMidYMid meet'): Fit {
  if (!viewBox)
    return { matrix: viewport.x || viewport.y ? translation(viewport.x, viewport.y) : IDENTITY, cut: false };
  const scaleX = viewport.width / viewBox.width;
  const scaleY = viewport.height / viewBox.height;
  const [align = 'xMidYMid', how = 'meet'] = preserveAspectRatio
    .replace(/^defer\s+/, '')
    .trim()
    .split(/\s+/);
  if (align === 'none') {
    const scaled = multiply(scaling(scaleX, scaleY), translation(-viewBox.x, -viewBox.y));
    return { matrix: multiply(translation(viewport.x, viewport.y), scaled), cut: false };
  }
  const scale = how === 'slice' ? Math.max(scaleX, scaleY) : Math.min(scaleX, scaleY);
  const share = (part: string | undefined) => (part === 'Min' ? 0 : part === 'Max' ? 1 : 0.5);
  const [, alignX, alignY] = /^x(Min|Mid|Max)Y(Min|Mid|Max)$/.exec(align) ?? [];
  const x = viewport.x + (viewport.width - viewBox.width * scale) * share(alignX);
  const y = viewport.y + (viewport.height - viewBox.height * scale) * share(alignY);
  const scaled = multiply(scaling(scale, scale), translation(-viewBox.x, -viewBox.y));
  return { matrix: multiply(translation(x, y), scaled), cut: how === 'slice' };
}
