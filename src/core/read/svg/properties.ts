/**
 * The CSS properties that SVG drawings are styled by, with inheritance and initial value
 * (SVG 2, Appendix "Property index"; Filter Effects 1; CSS Masking 1; Compositing 1).
 */
export const PROPERTIES = {
  'alignment-baseline': { inherited: false, initial: 'auto' },
  'baseline-shift': { inherited: false, initial: 'baseline' },
  'clip-path': { inherited: false, initial: 'none' },
  'clip-rule': { inherited: true, initial: 'nonzero' },
  color: { inherited: true, initial: 'black' },
  'color-interpolation': { inherited: true, initial: 'sRGB' },
  'color-interpolation-filters': { inherited: true, initial: 'linearRGB' },
  cx: { inherited: false, initial: '0' },
  cy: { inherited: false, initial: '0' },
  d: { inherited: false, initial: 'none' },
  direction: { inherited: true, initial: 'ltr' },
  display: { inherited: false, initial: 'inline' },
  'dominant-baseline': { inherited: true, initial: 'auto' },
  fill: { inherited: true, initial: 'black' },
  'fill-opacity': { inherited: true, initial: '1' },
  'fill-rule': { inherited: true, initial: 'nonzero' },
  filter: { inherited: false, initial: 'none' },
  'flood-color': { inherited: false, initial: 'black' },
  'flood-opacity': { inherited: false, initial: '1' },
  // Empty: the viewer's own standard font, which need not be its serif.
  'font-family': { inherited: true, initial: '' },
  'font-size': { inherited: true, initial: '16px' },
  'font-stretch': { inherited: true, initial: 'normal' },
  'font-style': { inherited: true, initial: 'normal' },
  'font-variant': { inherited: true, initial: 'normal' },
  'font-weight': { inherited: true, initial: '400' },
  height: { inherited: false, initial: 'auto' },
  'image-rendering': { inherited: true, initial: 'auto' },
  isolation: { inherited: false, initial: 'auto' },
  'letter-spacing': { inherited: true, initial: 'normal' },
  'lighting-color': { inherited: false, initial: 'white' },
  'marker-end': { inherited: true, initial: 'none' },
  'marker-mid': { inherited: true, initial: 'none' },
  'marker-start': { inherited: true, initial: 'none' },
  mask: { inherited: false, initial: 'none' },
  'mask-type': { inherited: false, initial: 'luminance' },
  'mix-blend-mode': { inherited: false, initial: 'normal' },
  opacity: { inherited: false, initial: '1' },
  overflow: { inherited: false, initial: 'auto' },
  'paint-order': { inherited: true, initial: 'normal' },
  r: { inherited: false, initial: '0' },
  rx: { inherited: false, initial: 'auto' },
  ry: { inherited: false, initial: 'auto' },
  'shape-rendering': { inherited: true, initial: 'auto' },
  'stop-color': { inherited: false, initial: 'black' },
  'stop-opacity': { inherited: false, initial: '1' },
  stroke: { inherited: true, initial: 'none' },
  'stroke-dasharray': { inherited: true, initial: 'none' },
  'stroke-dashoffset': { inherited: true, initial: '0' },
  'stroke-linecap': { inherited: true, initial: 'butt' },
  'stroke-linejoin': { inherited: true, initial: 'miter' },
  'stroke-miterlimit': { inherited: true, initial: '4' },
  'stroke-opacity': { inherited: true, initial: '1' },
  'stroke-width': { inherited: true, initial: '1' },
  'text-anchor': { inherited: true, initial: 'start' },
  // Not inherited by CSS, but it reaches the letters of every element inside (CSS Text Decoration 3, §2).
  'text-decoration': { inherited: true, initial: 'none' },
  'text-transform': { inherited: true, initial: 'none' },
  'text-rendering': { inherited: true, initial: 'auto' },
  transform: { inherited: false, initial: 'none' },
  'transform-box': { inherited: false, initial: 'view-box' },
  'transform-origin': { inherited: false, initial: '0 0' },
  'unicode-bidi': { inherited: false, initial: 'normal' },
  'vector-effect': { inherited: false, initial: 'none' },
  visibility: { inherited: true, initial: 'visible' },
  'white-space': { inherited: true, initial: 'normal' },
  width: { inherited: false, initial: 'auto' },
  'word-spacing': { inherited: true, initial: 'normal' },
  'writing-mode': { inherited: true, initial: 'horizontal-tb' },
  x: { inherited: false, initial: '0' },
  y: { inherited: false, initial: '0' },
} as const satisfies Record<string, { inherited: boolean; initial: string }>;

export type Property = keyof typeof PROPERTIES;

export function isProperty(name: string): name is Property {
  return Object.hasOwn(PROPERTIES, name);
}

/** Geometry is a property on some elements and a plain attribute (or a list) on others. */
export const GEOMETRY: ReadonlySet<string> = new Set([
  'x',
  'y',
  'width',
  'height',
  'cx',
  'cy',
  'r',
  'rx',
  'ry',
  'd',
]);
const WITH_GEOMETRY: ReadonlySet<string> = new Set([
  'svg',
  'rect',
  'circle',
  'ellipse',
  'image',
  'foreignObject',
  'path',
  'use',
]);

/** Properties that are no presentation attributes (SVG 2, §6.6). */
const ONLY_STYLED: ReadonlySet<string> = new Set(['text-transform']);

/** True when `attribute` on `element` is a presentation attribute (SVG 2, §6.6). */
export function isPresentationAttribute(element: string, attribute: string): boolean {
  if (!isProperty(attribute) || ONLY_STYLED.has(attribute)) return false;
  return GEOMETRY.has(attribute) ? WITH_GEOMETRY.has(element) : true;
}
