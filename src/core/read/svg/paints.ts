import type { Box } from '../../mockup/box';
import { IDENTITY, multiply, scaling, translation, type Matrix } from '../../mockup/matrix';
import { fade, fadePaint, type GradientStop, type Paint, type Spread, type Stroke } from '../../mockup/paint';
import { elementsIn, type XmlNode } from '../xml/node';
import { BLACK, parseColour } from './colours';
import { computeStyle, styleInPlace, type Computed } from './computed';
import { hrefOf, localId, type Here, type SvgContext } from './context';
import { keepDefinition } from './definitions';
import { parseLength, parseLengths, parseShare } from './lengths';
import { parseTransform } from './transforms';

/** The geometry's box in the layer's own coordinates: the basis of `objectBoundingBox`. */
export type BoxOfShape = () => Box | null;

export function readFill(here: Here, box: BoxOfShape): Paint | null {
  const { style } = here.computed;
  return readPaint(style.fill, parseShare(style['fill-opacity']), here, box, 'fill');
}

export function readStroke(here: Here, box: BoxOfShape): Stroke | null {
  const { style } = here.computed;
  return strokeOf(readPaint(style.stroke, parseShare(style['stroke-opacity']), here, box, 'stroke'), here);
}

/** An invisible stroke, for markers that scale with its width. */
export function clearStroke(here: Here): Stroke | null {
  return strokeOf({ kind: 'solid', colour: fade(BLACK, 0) }, here);
}

function strokeOf(paint: Paint | null, here: Here): Stroke | null {
  const { style, fontSize } = here.computed;
  const { width: w, height: h } = here.viewport;
  const lengths = { fontSize, percentOf: Math.hypot(w, h) / Math.SQRT2 };
  const width = parseLength(style['stroke-width'], lengths) ?? 1;
  if (!paint || width <= 0) return null;
  const cap = style['stroke-linecap'];
  const join = style['stroke-linejoin'];
  return {
    paint,
    width,
    cap: cap === 'round' || cap === 'square' ? cap : 'butt',
    join: join === 'round' || join === 'bevel' ? join : 'miter',
    miterLimit: Number(style['stroke-miterlimit']) || 4,
    dashes: readDashes(parseLengths(style['stroke-dasharray'], lengths)),
    dashOffset: parseLength(style['stroke-dashoffset'], lengths) ?? 0,
    fixedWidth: style['vector-effect'] === 'non-scaling-stroke',
  };
}

/** SVG 2, §13.5.6: an odd list is written twice; a negative length or an empty sum is no dash at all. */
function readDashes(lengths: readonly number[]): readonly number[] {
  if (lengths.some((length) => length < 0) || lengths.every((length) => length === 0)) return [];
  return lengths.length % 2 === 0 ? lengths : [...lengths, ...lengths];
}

function readPaint(
  value: string,
  opacity: number,
  here: Here,
  box: BoxOfShape,
  property: 'fill' | 'stroke',
): Paint | null {
  if (value === 'none') return null;
  if (/^url\(/i.test(value)) {
    const id = localId(value);
    const server = id === null ? undefined : here.context.byId.get(id);
    if (id !== null && server && paints(server, here.context))
      return readServer(id, server, opacity, here, box);
    if (!server) here.context.report('reference-missing', here.parent, { property, target: id ?? value });
    const fallback = value.replace(/^url\([^)]*(?:\)\s*|$)/i, '');
    return fallback === '' ? null : readPaint(fallback, opacity, here, box, property);
  }
  const colour = value.toLowerCase() === 'currentcolor' ? currentColour(here.computed) : parseColour(value);
  if (!colour) {
    here.context.report('value-ignored', here.parent, { property, value });
    return property === 'fill' ? { kind: 'solid', colour: fade(BLACK, opacity) } : null;
  }
  const alpha = colour.alpha * opacity;
  return alpha === 0 ? null : { kind: 'solid', colour: { ...colour, alpha } };
}

export function currentColour(computed: Computed): typeof BLACK {
  return parseColour(computed.style.color) ?? BLACK;
}

function readServer(id: string, server: XmlNode, opacity: number, here: Here, box: BoxOfShape): Paint | null {
  if (server.name === 'linearGradient' || server.name === 'radialGradient') {
    const gradient = readGradient(server, here, box);
    return gradient && fadePaint(gradient, opacity);
  }
  const definition = keepDefinition(id, here.context);
  here.context.report('pattern-kept', here.parent);
  return definition === null ? null : { kind: 'defined', definition, opacity };
}

/**
 * False for elements that are no paint server, and for a pattern without size or content, which paints
 * nothing (SVG 2, §14.3).
 */
function paints(server: XmlNode, context: SvgContext): boolean {
  if (server.name !== 'pattern') return GRADIENTS.has(server.name);
  const chain = templates(server, context);
  const side = (name: string) =>
    parseFloat(chain.find((node) => node.attributes[name] !== undefined)?.attributes[name] ?? '0');
  return side('width') > 0 && side('height') > 0 && chain.some((node) => elementsIn(node).length > 0);
}

const GRADIENTS: ReadonlySet<string> = new Set(['linearGradient', 'radialGradient']);

/** The gradient or pattern and those that it takes attributes from (SVG 2, §14.1.1); a cycle ends the list. */
function templates(server: XmlNode, context: SvgContext): XmlNode[] {
  const chain: XmlNode[] = [];
  let next: XmlNode | undefined = server;
  while (next && !chain.includes(next)) {
    chain.push(next);
    const id = localId(hrefOf(next));
    next = id === null ? undefined : context.byId.get(id);
  }
  return chain;
}

function readGradient(server: XmlNode, here: Here, box: BoxOfShape): Paint | null {
  const chain = templates(server, here.context);
  const find = (name: string, among = chain) =>
    among.find((node) => node.attributes[name] !== undefined)?.attributes[name];
  const alike = chain.filter((node) => node.name === server.name);
  const stops = stopsOf(
    chain.find((node) => elementsIn(node).some((child) => child.name === 'stop')),
    here,
  );
  const [only] = stops;
  if (!only) return null;
  if (stops.length === 1) return { kind: 'solid', colour: only.colour };

  const byBox = find('gradientUnits') !== 'userSpaceOnUse';
  const bounds = byBox ? box() : null;
  if (byBox && (!bounds || bounds.width === 0 || bounds.height === 0)) return null;
  const own = parseTransform(find('gradientTransform') ?? '') ?? IDENTITY;
  const toBox = bounds
    ? multiply(translation(bounds.x, bounds.y), scaling(bounds.width, bounds.height))
    : IDENTITY;
  const transform: Matrix = multiply(toBox, own);
  const spread = readSpread(find('spreadMethod'));

  const { width, height } = byBox ? { width: 1, height: 1 } : here.viewport;
  const measure = (name: string, fallback: string, percentOf: number) =>
    parseLength(find(name, alike) ?? fallback, { fontSize: here.computed.fontSize, percentOf }) ?? 0;
  if (server.name === 'linearGradient') {
    const [x1, y1] = [measure('x1', '0%', width), measure('y1', '0%', height)];
    const [x2, y2] = [measure('x2', '100%', width), measure('y2', '0%', height)];
    // A gradient without length is its last stop everywhere (SVG 2, §14.2.2).
    if (x1 === x2 && y1 === y2) return { kind: 'solid', colour: (stops.at(-1) ?? only).colour };
    return { kind: 'linear', x1, y1, x2, y2, transform, spread, stops };
  }
  const diagonal = Math.hypot(width, height) / Math.SQRT2;
  const [cx, cy] = [measure('cx', '50%', width), measure('cy', '50%', height)];
  const r = measure('r', '50%', diagonal);
  if (r <= 0) return { kind: 'solid', colour: (stops.at(-1) ?? only).colour };
  const [fx, fy] = [
    measure('fx', find('cx', alike) ?? '50%', width),
    measure('fy', find('cy', alike) ?? '50%', height),
  ];
  const fr = Math.max(0, measure('fr', '0', diagonal));
  return { kind: 'radial', cx, cy, r, fx, fy, fr, transform, spread, stops };
}

function readSpread(value: string | undefined): Spread {
  return value === 'repeat' || value === 'reflect' ? value : 'pad';
}

/** The stops have their style from where they stand, so they are the same for everything that they paint. */
function stopsOf(owner: XmlNode | undefined, { context }: Here): readonly GradientStop[] {
  if (!owner) return [];
  const known = context.stops.get(owner) ?? readStops(owner, context);
  context.stops.set(owner, known);
  return known;
}

function readStops(owner: XmlNode, { cascade }: SvgContext): GradientStop[] {
  const around = styleInPlace(owner, cascade);
  const stops: GradientStop[] = [];
  for (const node of elementsIn(owner)) {
    if (node.name !== 'stop') continue;
    const computed = computeStyle(node, around, cascade);
    const value = computed.style['stop-color'];
    const colour =
      value.toLowerCase() === 'currentcolor' ? currentColour(computed) : (parseColour(value) ?? BLACK);
    const offset = Math.max(parseShare(node.attributes.offset ?? '0', 0), stops.at(-1)?.offset ?? 0);
    stops.push({ offset, colour: fade(colour, parseShare(computed.style['stop-opacity'])) });
  }
  return stops;
}
