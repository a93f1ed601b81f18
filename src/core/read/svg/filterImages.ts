import type { Effect, Shadow } from '../../mockup/layer';
import { fade, type Colour } from '../../mockup/paint';
import { elementsIn, type XmlNode } from '../xml/node';
import { BLACK, parseColour } from './colours';
import { styleInPlace } from './computed';
import type { SvgContext } from './context';
import { currentColour } from './paints';
import { parseShare } from './lengths';

/** What a filter primitive's result is known to show. */
export type Image =
  | { readonly kind: 'source' }
  /** The source after blurs and changes of colour. */
  | { readonly kind: 'worked'; readonly effects: readonly Effect[] }
  | { readonly kind: 'flood'; readonly colour: Colour }
  | ShadowImage
  /** Everything but a shadow, in its colour. */
  | { readonly kind: 'hollow'; readonly shadow: ShadowImage }
  | { readonly kind: 'stack'; readonly images: readonly Image[] };

/**
 * The source's silhouette in one colour; `cut`: drawn everywhere, only outside the source, or only inside.
 */
interface ShadowImage extends Shadow {
  readonly kind: 'shadow';
  readonly cut: 'none' | 'outside' | 'inside';
}

export const FORM: ShadowImage = {
  kind: 'shadow',
  dx: 0,
  dy: 0,
  deviation: 0,
  spread: 0,
  colour: BLACK,
  cut: 'none',
};

export function deviationOf(node: XmlNode, fallback: string): number | null {
  const [x = 0, y = x] = (node.attributes.stdDeviation ?? fallback)
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  return x === y && x >= 0 ? x : null;
}

export function isLinear(node: XmlNode, context: SvgContext): boolean {
  return styleInPlace(node, context.cascade).style['color-interpolation-filters'] !== 'sRGB';
}

export function blur(image: Image | null, deviation: number | null, linear: boolean): Image | null {
  if (!image || deviation === null) return null;
  if (image.kind === 'source' || image.kind === 'worked')
    return worked(image, { kind: 'blur', deviation, linear });
  // Two Gaussians one after another are one whose variance is the sum of theirs.
  return image.kind === 'shadow' && image.cut === 'none'
    ? { ...image, deviation: Math.hypot(image.deviation, deviation) }
    : null;
}

function worked(image: Extract<Image, { kind: 'source' | 'worked' }>, effect: Effect): Image {
  return { kind: 'worked', effects: [...(image.kind === 'worked' ? image.effects : []), effect] };
}

/** A form grown or shrunk before it is blurred is the spread of a CSS shadow. */
export function grow(image: Image | null, node: XmlNode): Image | null {
  const [x = 0, y = x] = (node.attributes.radius ?? '0')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (image?.kind !== 'shadow' || image.deviation > 0 || image.cut !== 'none' || x !== y || !(x >= 0))
    return null;
  const way = node.attributes.operator === 'dilate' ? 1 : -1;
  return { ...image, spread: image.spread + way * x };
}

/** A matrix that gives every pixel one colour and scales alpha turns a shadow's colour. */
export function recolour(image: Image | null, node: XmlNode, linear: boolean): Image | null {
  const { type = 'matrix', values = '' } = node.attributes;
  if (type !== 'matrix') return changeColour(image, type, values, linear);
  const rows = values
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (rows.length !== 20 || !rows.every(Number.isFinite)) return null;
  const at = (row: number, column: number) => rows[row * 5 + column] ?? 0;
  if (at(3, 4) !== 0 || [0, 1, 2].some((column) => at(3, column) !== 0)) return null;
  const flat = [0, 1, 2].every((row) => [0, 1, 2, 3].every((column) => at(row, column) === 0));
  if (!flat)
    return image?.kind === 'shadow' && at(3, 3) > 0 && isBlack(image.colour)
      ? boosted(image, at(3, 3))
      : null;
  const shadow: Image | null = image?.kind === 'source' ? FORM : image;
  if (shadow?.kind !== 'shadow') return null;
  const channel = (row: number) => Math.round(Math.min(1, Math.max(0, at(row, 4))) * 255);
  const colour = { r: channel(0), g: channel(1), b: channel(2), alpha: 1 };
  return boosted({ ...shadow, colour: { ...colour, alpha: shadow.colour.alpha } }, at(3, 3));
}

/** The matrix types that CSS has functions for, where both count in sRGB (Filter Effects 1, §9.6 and §5). */
function changeColour(image: Image | null, type: string, values: string, linear: boolean): Image | null {
  if (linear || (image?.kind !== 'source' && image?.kind !== 'worked')) return null;
  const amount = Number(values.trim() || (type === 'saturate' ? 1 : 0));
  if (!Number.isFinite(amount)) return null;
  if (type === 'saturate') return worked(image, { kind: 'colour', function: 'saturate', amount });
  return type === 'hueRotate' ? worked(image, { kind: 'colour', function: 'hue-rotate', amount }) : null;
}

/** A hard edge made by multiplying alpha over one is only exact before any blur, as drawing programs use it. */
function boosted(shadow: ShadowImage, factor: number): Image | null {
  if (factor > 1 && (shadow.deviation > 0 || shadow.cut !== 'none')) return null;
  return { ...shadow, colour: { ...shadow.colour, alpha: Math.min(1, shadow.colour.alpha * factor) } };
}

function isBlack(colour: Colour): boolean {
  return colour.r === 0 && colour.g === 0 && colour.b === 0;
}

export function fadeImage(image: Image | null, node: XmlNode): Image | null {
  const functions = elementsIn(node);
  const [only] = functions;
  if (image?.kind !== 'shadow' || functions.length !== 1 || only?.name !== 'feFuncA') return null;
  if (only.attributes.type !== 'linear' || Number(only.attributes.intercept ?? 0) !== 0) return null;
  return { ...image, colour: fade(image.colour, Number(only.attributes.slope ?? 1)) };
}

/** The operator; arithmetic that takes one form away from another counts as leaving it out. */
export function operatorOf({ attributes }: XmlNode): string {
  const operator = attributes.operator ?? 'over';
  if (operator !== 'arithmetic') return operator;
  const [k1, k2, k3, k4] = ['k1', 'k2', 'k3', 'k4'].map((name) => Number(attributes[name] ?? 0));
  return k1 === 0 && k2 === -1 && k3 === 1 && k4 === 0 ? 'taken-from' : operator;
}

export function compose(operator: string, top: Image | null, below: Image | null): Image | null {
  if (!top || !below) return null;
  switch (operator) {
    case 'over':
      return { kind: 'stack', images: [below, top] };
    case 'in':
      if (top.kind === 'hollow' && isForm(below)) return { ...top.shadow, cut: 'inside' };
      return top.kind === 'flood' && below.kind === 'shadow'
        ? { ...below, colour: fade(top.colour, below.colour.alpha) }
        : null;
    case 'out':
      if (top.kind === 'shadow' && isForm(below) && !isForm(top)) return cutBy(top, 'outside');
      if (below.kind !== 'shadow' || below.cut !== 'none') return null;
      if (top.kind === 'flood') return { kind: 'hollow', shadow: { ...below, colour: top.colour } };
      return isForm(top) && top.kind === 'shadow' ? { ...below, colour: top.colour, cut: 'inside' } : null;
    case 'taken-from':
      return top.kind === 'shadow' && isForm(below) ? cutBy(top, 'inside') : null;
    case 'atop':
      return top.kind === 'hollow' && below.kind === 'source'
        ? { kind: 'stack', images: [below, { ...top.shadow, cut: 'inside' }] }
        : null;
    default:
      return null;
  }
}

function cutBy(shadow: ShadowImage, cut: 'outside' | 'inside'): Image | null {
  return shadow.cut === 'none' ? { ...shadow, cut } : null;
}

/** True for the source or its silhouette, by which shadows are clipped. */
function isForm(image: Image): boolean {
  if (image.kind === 'source') return true;
  if (image.kind !== 'shadow') return false;
  const { dx, dy, deviation, spread, cut } = image;
  return dx === 0 && dy === 0 && deviation === 0 && spread === 0 && cut === 'none';
}

export function floodColour(node: XmlNode, context: SvgContext): Colour {
  const computed = styleInPlace(node, context.cascade);
  const value = computed.style['flood-color'];
  const colour = value.toLowerCase() === 'currentcolor' ? currentColour(computed) : parseColour(value);
  return fade(colour ?? BLACK, parseShare(computed.style['flood-opacity']));
}

/** Shadows under the source and shadows inside it, or a source that was worked on, as effects; null for anything else. */
export function effectsOf(image: Image): readonly Effect[] | null {
  const parts = flatten(image).filter((part) => !(part.kind === 'flood' && part.colour.alpha === 0));
  const [only] = parts;
  if (parts.length === 1 && only?.kind === 'worked') return only.effects;
  const at = parts.findIndex((part) => part.kind === 'source');
  if (at < 0) return null;
  const effects = parts.flatMap((part, index): (Effect | null)[] => {
    if (index === at) return [];
    if (part.kind !== 'shadow' || index > at !== (part.cut === 'inside')) return [null];
    const { dx, dy, deviation, spread, colour, cut } = part;
    const shadow = { dx, dy, deviation, spread, colour };
    return [
      index > at
        ? { kind: 'inner-shadow', ...shadow, spread: 0 - spread }
        : { kind: 'drop-shadow', ...shadow, outside: cut === 'outside' },
    ];
  });
  return effects.every((effect) => effect !== null) ? effects : null;
}

function flatten(image: Image): Image[] {
  return image.kind === 'stack' ? image.images.flatMap(flatten) : [image];
}
