import { evenRadii, type Outline } from '../../mockup/outline';
import type { XmlNode } from '../xml/node';
import type { Here } from './context';
import { parseLength } from './lengths';
import { absolutePath } from './pathData';
import type { Property } from './properties';

/** The geometry of a basic shape or path (SVG 2, §9 and §10); null when it draws nothing or is no shape. */
export function readOutline(
  node: XmlNode,
  here: Here,
  rule = here.computed.style['fill-rule'],
): Outline | null {
  const reader = OUTLINES[node.name];
  return reader ? reader(node, here, rule) : null;
}

export function isShapeElement(name: string): boolean {
  return Object.hasOwn(OUTLINES, name);
}

type Axis = 'width' | 'height' | 'diagonal';

/** A geometry property of the element in px; null for `auto` and for invalid lengths. */
export function geometry(here: Here, property: Property, axis: Axis): number | null {
  return measure(here, here.computed.style[property], axis);
}

/** A length written in a plain attribute. */
export function attributeLength(node: XmlNode, here: Here, name: string, axis: Axis): number {
  return measure(here, node.attributes[name] ?? '0', axis) ?? 0;
}

function measure(here: Here, text: string, axis: Axis): number | null {
  const { width, height } = here.viewport;
  const percentOf = axis === 'diagonal' ? Math.hypot(width, height) / Math.SQRT2 : here.viewport[axis];
  return parseLength(text, { fontSize: here.computed.fontSize, percentOf });
}

type OutlineReader = (node: XmlNode, here: Here, rule: string) => Outline | null;

const OUTLINES: Readonly<Record<string, OutlineReader>> = {
  rect(_, here) {
    const width = geometry(here, 'width', 'width') ?? 0;
    const height = geometry(here, 'height', 'height') ?? 0;
    if (width <= 0 || height <= 0) return null;
    const box = {
      x: geometry(here, 'x', 'width') ?? 0,
      y: geometry(here, 'y', 'height') ?? 0,
      width,
      height,
    };
    // SVG 2, §10.2: a missing radius takes the other's, and neither passes half the side.
    const rx = geometry(here, 'rx', 'width');
    const ry = geometry(here, 'ry', 'height');
    const clamp = (radius: number | null, side: number) => Math.min(Math.max(0, radius ?? 0), side / 2);
    return { kind: 'rect', box, radii: evenRadii(clamp(rx ?? ry, width), clamp(ry ?? rx, height)) };
  },
  circle(_, here) {
    const r = geometry(here, 'r', 'diagonal') ?? 0;
    return ellipse(here, r, r);
  },
  ellipse(_, here) {
    const rx = geometry(here, 'rx', 'width');
    const ry = geometry(here, 'ry', 'height');
    return ellipse(here, rx ?? ry ?? 0, ry ?? rx ?? 0);
  },
  line(node, here) {
    const at = (name: string, axis: Axis) => attributeLength(node, here, name, axis);
    return {
      kind: 'line',
      x1: at('x1', 'width'),
      y1: at('y1', 'height'),
      x2: at('x2', 'width'),
      y2: at('y2', 'height'),
    };
  },
  polyline: (node, _, rule) => polygon(node, '', rule),
  polygon: (node, _, rule) => polygon(node, 'Z', rule),
  path(node, here, rule) {
    const property = /^path\(\s*(["'])(.*)\1\s*\)$/s.exec(here.computed.style.d)?.[2];
    const d = absolutePath(property ?? node.attributes.d ?? '');
    return d === '' ? null : { kind: 'path', d, rule: rule === 'evenodd' ? 'evenodd' : 'nonzero' };
  },
};

function ellipse(here: Here, rx: number, ry: number): Outline | null {
  if (rx <= 0 || ry <= 0) return null;
  const cx = geometry(here, 'cx', 'width') ?? 0;
  const cy = geometry(here, 'cy', 'height') ?? 0;
  return { kind: 'ellipse', box: { x: cx - rx, y: cy - ry, width: 2 * rx, height: 2 * ry } };
}

function polygon(node: XmlNode, end: string, rule: string): Outline | null {
  const numbers =
    (node.attributes.points ?? '').match(/[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?/gi)?.map(Number) ?? [];
  const pairs = Math.floor(numbers.length / 2);
  if (pairs < 2) return null;
  const points = Array.from({ length: pairs }, (_, at) => `${numbers[at * 2]} ${numbers[at * 2 + 1]}`);
  return { kind: 'path', d: `M${points.join('L')}${end}`, rule: rule === 'evenodd' ? 'evenodd' : 'nonzero' };
}
