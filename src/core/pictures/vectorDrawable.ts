import svgpath from 'svgpath';
import { AAPT, ANDROID } from '../markup/androidNamespaces';
import { printArgb } from '../markup/colours';
import { element, type Attributes, type MarkupElement } from '../markup/element';
import { formatNumber } from '../markup/numbers';
import { memoizeText } from '../mockup/memoize';
import { applyTo, IDENTITY, meanScale, multiply, type Matrix } from '../mockup/matrix';
import { NO_RADII, pathData, type Outline } from '../mockup/outline';
import type { Colour } from '../mockup/paint';
import { parseColour } from '../read/svg/colours';
import { parseTransform } from '../read/svg/transforms';
import { elementsIn, type XmlNode } from '../read/xml/node';
import { parseXml } from '../read/xml/parseXml';

/** Px: larger vectors are slow to draw on devices (Android, “Vector drawables overview”; from memory). */
const LARGEST = 200;

/** Characters of one path that the platform's compiler takes (aapt2: a string of a compiled file). */
const LONGEST_PATH = 32_000;

/**
 * The SVG of a picture as a vector drawable: paths with colours, gradients and lines (Android, “Vector drawables
 * overview”). Transforms are in the coordinates, so that there are no groups.
 * @returns null where the platform would draw it otherwise: with effects, dashes, skewed lines, or translucent groups
 */
export const vectorDrawable = memoizeText((svg: string): MarkupElement | null => {
  try {
    return vectorOf(parseXml(svg));
  } catch (error) {
    if (error instanceof NoVector) return null;
    throw error;
  }
});

/** What the platform has no vector for. */
class NoVector extends Error {}

function vectorOf(root: XmlNode): MarkupElement {
  const [width, height] = [Number(root.attributes.width), Number(root.attributes.height)];
  if (Math.max(width, height) > LARGEST) throw new NoVector();
  const definitions = new Map<string, XmlNode>();
  for (const defs of elementsIn(root).filter(({ name }) => name === 'defs'))
    for (const each of elementsIn(defs)) definitions.set(each.attributes.id ?? '', each);
  const paths = elementsIn(root).flatMap((each) => pathsOf(each, IDENTITY, 1, definitions));
  const usesAapt = paths.some(({ children }) => children.length > 0);
  return element(
    'vector',
    {
      'xmlns:android': ANDROID,
      'xmlns:aapt': usesAapt ? AAPT : null,
      'android:width': `${formatNumber(width)}dp`,
      'android:height': `${formatNumber(height)}dp`,
      'android:viewportWidth': formatNumber(width),
      'android:viewportHeight': formatNumber(height),
    },
    paths,
  );
}

/** Attributes that say nothing the platform does not draw. */
const SAID = new Set(
  `xmlns id transform opacity display d x y width height rx ry cx cy x1 y1 x2 y2 fill fill-opacity fill-rule
  stroke stroke-opacity stroke-width stroke-linecap stroke-linejoin stroke-miterlimit`.split(/\s+/),
);

type Definitions = ReadonlyMap<string, XmlNode>;

function pathsOf(
  node: XmlNode,
  around: Matrix,
  alphaAround: number,
  definitions: Definitions,
): readonly MarkupElement[] {
  const { name, attributes } = node;
  if (name === 'defs' || name === 'title' || attributes.display === 'none') return [];
  if (!Object.keys(attributes).every((each) => SAID.has(each))) throw new NoVector();
  const own = attributes.transform === undefined ? IDENTITY : parseTransform(attributes.transform);
  if (!own) throw new NoVector();
  const matrix = multiply(around, own);
  const alpha = alphaAround * Number(attributes.opacity ?? 1);
  if (name === 'g') {
    const inner = elementsIn(node).flatMap((child) => pathsOf(child, matrix, alpha, definitions));
    // What lies over each other would show through.
    if (attributes.opacity !== undefined && inner.length > 1) throw new NoVector();
    return inner;
  }
  const outline = outlineOf(node);
  if (!outline) throw new NoVector();
  const d = svgpath(pathData(outline))
    .matrix([...matrix])
    .round(3)
    .toString();
  if (d.length > LONGEST_PATH) throw new NoVector();
  const fill = paintOf(
    attributes.fill ?? '#000',
    Number(attributes['fill-opacity'] ?? 1) * alpha,
    matrix,
    definitions,
  );
  const stroke = paintOf(
    attributes.stroke ?? 'none',
    Number(attributes['stroke-opacity'] ?? 1) * alpha,
    matrix,
    definitions,
  );
  // A group is translucent as a whole: its fill does not show through its line.
  if (alpha < 1 && fill && stroke) throw new NoVector();
  if (!fill && !stroke) return [];
  const written: Attributes = {
    'android:pathData': d,
    'android:fillColor': fill?.colour ?? null,
    'android:fillType': fill && attributes['fill-rule'] === 'evenodd' ? 'evenOdd' : null,
    ...(stroke && strokeAttributes(attributes, stroke.colour, matrix)),
  };
  return [element('path', written, [...gradientIn('fillColor', fill), ...gradientIn('strokeColor', stroke)])];
}

function strokeAttributes(
  attributes: XmlNode['attributes'],
  colour: string | null,
  matrix: Matrix,
): Attributes {
  if (!isSimilar(matrix)) throw new NoVector();
  const { 'stroke-linecap': cap, 'stroke-linejoin': join, 'stroke-miterlimit': limit } = attributes;
  return {
    'android:strokeColor': colour,
    'android:strokeWidth': formatNumber(Number(attributes['stroke-width'] ?? 1) * meanScale(matrix)),
    'android:strokeLineCap': cap === undefined || cap === 'butt' ? null : cap,
    'android:strokeLineJoin': join === undefined || join === 'miter' ? null : join,
    'android:strokeMiterLimit': limit === undefined || limit === '4' ? null : limit,
  };
}

/** True for a transform that moves, turns and scales alike in both directions. */
function isSimilar([a, b, c, d]: Matrix): boolean {
  const size = Math.hypot(a, b);
  const isTurned = Math.abs(a - d) + Math.abs(b + c) < 0.002 * size;
  return isTurned || Math.abs(a + d) + Math.abs(b - c) < 0.002 * size;
}

/** The outline of a shape; null for any other element. */
function outlineOf({ name, attributes }: XmlNode): Outline | null {
  const at = (key: string) => Number(attributes[key] ?? 0);
  const rule = 'nonzero' as const;
  switch (name) {
    case 'path':
      return { kind: 'path', d: attributes.d ?? '', rule };
    case 'line':
      return { kind: 'line', x1: at('x1'), y1: at('y1'), x2: at('x2'), y2: at('y2') };
    case 'ellipse': {
      const [rx, ry] = [at('rx'), at('ry')];
      return { kind: 'ellipse', box: { x: at('cx') - rx, y: at('cy') - ry, width: 2 * rx, height: 2 * ry } };
    }
    case 'rect': {
      if (/%/.test(`${attributes.width}${attributes.height}`)) return null;
      const box = { x: at('x'), y: at('y'), width: at('width'), height: at('height') };
      const radius = { x: at('rx'), y: at('ry') };
      return { kind: 'rect', box, radii: radius.x > 0 ? [radius, radius, radius, radius] : NO_RADII };
    }
    default:
      return null;
  }
}

interface VectorPaint {
  /** Null for a gradient. */
  readonly colour: string | null;
  readonly gradient: MarkupElement | null;
}

/** A paint; null for none. */
function paintOf(text: string, alpha: number, matrix: Matrix, definitions: Definitions): VectorPaint | null {
  if (text === 'none' || alpha === 0) return null;
  const reference = /^url\(["']?#([^"')]+)["']?\)$/.exec(text);
  if (reference) return { colour: null, gradient: gradientOf(definitions.get(reference[1]!), alpha, matrix) };
  const colour = parseColour(text);
  if (!colour) throw new NoVector();
  return { colour: printArgb(faded(colour, alpha)), gradient: null };
}

function faded(colour: Colour, alpha: number): Colour {
  return { ...colour, alpha: colour.alpha * alpha };
}

const TILES: Readonly<Record<string, string>> = { repeat: 'repeat', reflect: 'mirror' };

/** A gradient of user space in the coordinates of the picture (Android, `GradientColor`). */
function gradientOf(node: XmlNode | undefined, alpha: number, around: Matrix): MarkupElement {
  if (!node || node.attributes.gradientUnits !== 'userSpaceOnUse') throw new NoVector();
  const { attributes } = node;
  const own =
    attributes.gradientTransform === undefined ? IDENTITY : parseTransform(attributes.gradientTransform);
  const matrix = own && multiply(around, own);
  if (!matrix || !isSimilar(matrix)) throw new NoVector();
  const at = (key: string) => Number(attributes[key] ?? 0);
  const stops = elementsIn(node).map(({ attributes: stop }) => {
    const colour = parseColour(stop['stop-color'] ?? '#000');
    if (!colour) throw new NoVector();
    return element('item', {
      'android:offset': formatNumber(Math.min(1, Math.max(0, Number(stop.offset ?? 0))), 4),
      'android:color': printArgb(faded(colour, Number(stop['stop-opacity'] ?? 1) * alpha)),
    });
  });
  return element(
    'gradient',
    { ...placeOf(node, matrix, at), 'android:tileMode': TILES[attributes.spreadMethod ?? ''] },
    stops,
  );
}

function placeOf({ name }: XmlNode, matrix: Matrix, at: (key: string) => number): Attributes {
  if (name === 'linearGradient') {
    const from = applyTo(matrix, { x: at('x1'), y: at('y1') });
    const to = applyTo(matrix, { x: at('x2'), y: at('y2') });
    return {
      'android:type': 'linear',
      'android:startX': formatNumber(from.x),
      'android:startY': formatNumber(from.y),
      'android:endX': formatNumber(to.x),
      'android:endY': formatNumber(to.y),
    };
  }
  // The platform has no focus beside the centre.
  if (name !== 'radialGradient' || at('fx') !== at('cx') || at('fy') !== at('cy')) throw new NoVector();
  const centre = applyTo(matrix, { x: at('cx'), y: at('cy') });
  return {
    'android:type': 'radial',
    'android:centerX': formatNumber(centre.x),
    'android:centerY': formatNumber(centre.y),
    'android:gradientRadius': formatNumber(at('r') * meanScale(matrix)),
  };
}

function gradientIn(attribute: string, paint: VectorPaint | null): readonly MarkupElement[] {
  return paint?.gradient ? [element('aapt:attr', { name: `android:${attribute}` }, [paint.gradient])] : [];
}
