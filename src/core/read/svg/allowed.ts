import { ident, tokenize, tokenTypes } from 'css-tree';
import attributesOf from 'svg-element-attributes';

/**
 * Elements that a kept definition may hold: those that draw, or say how to draw (SVG 2, Filter Effects 1, CSS
 * Masking 1; the list is from memory). Elements that run, animate, link or embed foreign content are not among them.
 */
const ALLOWED_ELEMENTS: ReadonlySet<string> = new Set(
  (
    'circle clipPath defs ellipse g image line linearGradient marker mask path pattern polygon polyline ' +
    'radialGradient rect stop svg switch symbol text textPath tspan use filter feBlend feColorMatrix ' +
    'feComponentTransfer feComposite feConvolveMatrix feDiffuseLighting feDisplacementMap feDistantLight ' +
    'feDropShadow feFlood feFuncA feFuncB feFuncG feFuncR feGaussianBlur feImage feMerge feMergeNode ' +
    'feMorphology feOffset fePointLight feSpecularLighting feSpotLight feTile feTurbulence'
  ).split(' '),
);

/** Bitmaps that are data alone; an SVG in a data address could hold what is dropped here. */
const BITMAP_TYPES: ReadonlySet<string> = new Set([
  'image/png',
  'image/jpeg',
  'image/jpg',
  'image/gif',
  'image/webp',
  'image/avif',
]);

/** CSS functions that fetch (CSS Values 4, §4.5; CSS Images 4, §2). */
const FETCHING = /^(?:-webkit-)?(?:url|src|image|image-set|cross-fade|element)$/i;

/**
 * The name that an element keeps inside a definition: its own when it is one that draws, a group's for a link,
 * whose content is drawn all the same; null for one that is dropped.
 */
export function allowedElement(name: string, parent: string): string | null {
  if (name === 'a') return parent === 'text' || parent === 'tspan' || parent === 'textPath' ? 'tspan' : 'g';
  return ALLOWED_ELEMENTS.has(name) ? name : null;
}

/** Whether the attribute is one of the element's in SVG 1.1, Tiny 1.2 or 2, and neither runs nor styles. */
export function isAllowedAttribute(element: string, attribute: string): boolean {
  const name = attribute.replace(/^(?:xlink|xml):/, '');
  if (name === 'href' || attribute === 'xml:space') return true;
  return !/^on/i.test(name) && (attributesOf[element]?.includes(name) ?? false);
}

export function isBitmapType(type: string): boolean {
  return BITMAP_TYPES.has(type);
}

/** Whether a value would fetch something, in any spelling: CSS has escapes and knows no case (CSS Syntax 3, §4). */
export function mayFetch(value: string): boolean {
  if (!/[(\\]/.test(value)) return false;
  let found = false;
  tokenize(value, (type, start, end) => {
    if (type === tokenTypes.Url || type === tokenTypes.BadUrl) found = true;
    if (type === tokenTypes.Function) found ||= FETCHING.test(ident.decode(value.slice(start, end - 1)));
  });
  return found;
}
